/**
 * Draws films with two other programs, Ghostscript (`gs`) and librsvg (`rsvg-convert`), for the tests of the reader. By hand,
 * where both are installed: `node scripts/drawFilms.mjs`. The films are kept with the tests, as small as they are.
 */
import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const TO = 'src/formats/film/elsewhere'
const work = mkdtempSync(join(tmpdir(), 'films-'))
mkdirSync(TO, { recursive: true })

/** Millimetres for points, y from the bottom. */
const PAGE = (w, h) =>
  `<< /PageSize [${(w * 72) / 25.4} ${(h * 72) / 25.4}] >> setpagedevice 72 25.4 div dup scale 0 setgray\n`
const CIRCLE = '/disc { 0 360 arc fill } def /ring { 0 360 arc stroke } def\n'
const MARK = `/mark { gsave translate 0.3 setlinewidth -5 0 moveto 5 0 lineto stroke 0 -5 moveto 0 5 lineto stroke
  newpath 0 0 3 ring grestore } def\n`
const FRAME = (w, h) => `${w / 2} 6 mark ${w / 2} ${h - 6} mark 6 ${h / 2} mark ${w - 6} ${h / 2} mark\n`
const ROUND = '{ dup mul exch dup mul add 1 exch sub }'

function ps(name, [w, h], dpi, program, device = 'tiffg4') {
  const source = join(work, `${name}.ps`)
  writeFileSync(source, `%!PS\n${PAGE(w, h)}${CIRCLE}${MARK}${program}\nshowpage\n`)
  const ending = device === 'pdfwrite' ? 'pdf' : 'tiff'
  execFileSync('gs', [
    ...['-q', '-dNOPAUSE', '-dBATCH', '-dSAFER', `-sDEVICE=${device}`, `-r${dpi}`],
    ...[`-sOutputFile=${join(TO, `${name}.${ending}`)}`, source],
  ])
}

function svg(name, [w, h], dpi, body) {
  const source = join(work, `${name}.svg`)
  writeFileSync(
    source,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">${body}</svg>`,
  )
  const size = ['-w', Math.round((w * dpi) / 25.4), '-h', Math.round((h * dpi) / 25.4)].map(String)
  execFileSync('rsvg-convert', ['-f', 'png', ...size, '-o', join(TO, `${name}.png`), source])
}

// Tints by the program's own halftone, on films without marks; patches as small as marks.
ps('tint-35', [60, 60], 600, `35 28 ${ROUND} setscreen 0.85 setgray 10 10 40 40 rectfill`)
ps(
  'patches',
  [60, 60],
  600,
  `35 28 ${ROUND} setscreen 0.85 setgray 6 6 12 12 rectfill 30 6 15 15 rectfill 8 32 18 18 rectfill`,
)
ps('tint-55', [60, 60], 600, `55 22.5 ${ROUND} setscreen 0.6 setgray 10 10 40 40 rectfill`)
ps(
  'fade-45',
  [80, 60],
  600,
  `45 22.5 ${ROUND} setscreen ${Array.from({ length: 60 }, (_, i) => `${(0.98 - i * 0.016).toFixed(3)} setgray ${10 + i} 10 1.01 40 rectfill`).join('\n')}`,
)

// Dots one by one, their rows at 28 degrees counter-clockwise as the film is looked at: 45 an inch, 30 % ink.
ps(
  'dots-28',
  [60, 60],
  600,
  `10 10 40 40 rectclip 30 30 translate 28 rotate /p 25.4 45 div def /r 0.3 3.14159265 div sqrt p mul def
  -55 1 55 { /i exch def -55 1 55 { /j exch def newpath i p mul j p mul r disc } for } for`,
)

// Marks of every kind round a disc.
const quarters = `/target { gsave translate 0.3 setlinewidth -6 0 moveto 6 0 lineto stroke 0 -6 moveto 0 6 lineto stroke
  newpath 0 0 3.4 ring newpath 0 0 moveto 0 0 3.4 0 90 arc fill newpath 0 0 moveto 0 0 3.4 180 270 arc fill grestore } def\n`
const eyes = `/eye { gsave translate newpath 0 0 0.8 disc 0.4 setlinewidth newpath 0 0 2 ring newpath 0 0 3.8 ring grestore } def\n`
const corners = `/corner { gsave translate scale 0.3 setlinewidth 8 0 moveto 0 0 lineto 0 8 lineto stroke grestore } def\n`
const art = 'newpath 30 30 9 disc'
const sides = (name) => `30 6 ${name} 30 54 ${name} 6 30 ${name} 54 30 ${name}`
ps('marks-target', [60, 60], 300, `${quarters}${art} ${sides('target')}`)
ps('marks-eye', [60, 60], 300, `${eyes}${art} ${sides('eye')}`)
ps(
  'marks-corner',
  [60, 60],
  300,
  `${corners}${art} 1 1 4 4 corner -1 1 56 4 corner 1 -1 4 56 corner -1 -1 56 56 corner`,
)
ps(
  'marks-line',
  [60, 60],
  300,
  `${art} 0.4 setlinewidth 30 2 moveto 30 9 lineto stroke 30 58 moveto 30 51 lineto stroke 2 30 moveto 9 30 lineto stroke 58 30 moveto 51 30 lineto stroke`,
)

// Bars that reach past the side marks; a compass rose on every film.
ps('bars', [60, 60], 300, `${FRAME(60, 60)} 3 14 54 5 rectfill 3 41 54 5 rectfill`)
ps(
  'rose',
  [60, 60],
  300,
  `${FRAME(60, 60)} gsave 30 30 translate 0.4 setlinewidth 8 { -7 0 moveto 7 0 lineto stroke 22.5 rotate } repeat grestore`,
)

// A knocked-out set of two, and its second film the wrong way round.
const head = 'newpath 26 34 12 disc 36 12 14 7 rectfill'
ps('set-colour', [60, 60], 300, `${FRAME(60, 60)}${head}`)
ps('set-rest', [60, 60], 300, `${FRAME(60, 60)} 8 9 46 42 rectfill 1 setgray ${head}`)
ps('set-mirrored', [60, 60], 300, `60 0 translate -1 1 scale ${FRAME(60, 60)}${head}`)

// Random dots: an index separation of squares of 0.17 mm, denser to the right.
ps(
  'index',
  [60, 60],
  300,
  `1234 srand 0 1 235 { /i exch def 0 1 235 { /j exch def rand 2147483647 div i 235 div lt { 10 i 0.1693 mul add 10 j 0.1693 mul add 0.1693 0.1693 rectfill } if } for } for`,
)

// Closer one way than the other, as printers of films make them.
ps('two-densities', [50, 50], '720x1440', '15 15 20 20 rectfill')

// A composite of two spot colours and process black.
ps(
  'composite',
  [60, 60],
  300,
  `[/Separation (Buoy red) /DeviceCMYK { dup 0.9 mul exch dup 0.8 mul exch pop 0 3 1 roll 0 }] setcolorspace 1 setcolor newpath 20 30 10 disc
  [/Separation (Harbour blue) /DeviceCMYK { dup 0.5 mul 0 0 }] setcolorspace 0.5 setcolor 30 20 20 20 rectfill
  0 0 0 1 setcmykcolor 10 5 40 4 rectfill`,
  'pdfwrite',
)

// By librsvg: a white base on nothing, a soft film, a fade that was never screened, half transparent ink.
svg(
  'white-base',
  [60, 60],
  300,
  '<g fill="#fff"><circle cx="24" cy="24" r="12"/><rect x="36" y="36" width="18" height="14"/></g>',
)
svg(
  'soft',
  [60, 60],
  300,
  '<rect width="60" height="60" fill="#e6e6e6"/><filter id="b"><feGaussianBlur stdDeviation="0.12"/></filter><g fill="#202020" filter="url(#b)"><circle cx="26" cy="26" r="12"/><rect x="40" y="10" width="6" height="40"/></g>',
)
svg(
  'unscreened',
  [60, 60],
  300,
  '<linearGradient id="g"><stop offset="0" stop-color="#fff"/><stop offset="1"/></linearGradient><rect width="60" height="60" fill="#fff"/><rect x="10" y="10" width="40" height="40" fill="url(#g)"/>',
)
svg(
  'half',
  [60, 60],
  300,
  '<rect x="10" y="10" width="30" height="30" fill-opacity="0.5"/><rect x="42" y="10" width="8" height="30"/>',
)

rmSync(work, { recursive: true })
