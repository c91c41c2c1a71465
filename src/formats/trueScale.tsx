import { G, Line, Page, StyleSheet, Svg, Text, View } from '@react-pdf/renderer'
import type { ReactNode } from 'react'
import { INCH, type Length } from '@/core/quantity'
import { type Tile, tilesOf } from '@/core/registration'
import { FACE, type Paper } from './paper'

/** Points in a metre: 72 to the inch of 25.4 mm. */
export const PT = 72 / INCH
const MARGIN: Length = 0.012
/** The line by which a ruler tells whether the printer kept the scale. */
const CHECK: Length = 0.1
const SHEETS: Readonly<Record<Paper, readonly [Length, Length]>> = {
  A4: [0.21, 0.297],
  LETTER: [0.2159, 0.2794],
}
/** Of a sheet that is left for its words. */
const HEAD: Length = 0.03
/** Arms of the corners by which sheets are laid edge to edge. */
const CORNER = 0.006 * PT

export const sheetStyle = StyleSheet.create({
  page: { fontFamily: FACE, fontSize: 9, padding: '12mm', color: '#000', lineHeight: 1.2 },
  title: { fontSize: 17, fontWeight: 800, lineHeight: 1.1 },
  row: { flexDirection: 'row' },
  cell: { padding: '2 4', borderBottom: '0.5pt solid #000' },
  big: { fontSize: 20, fontWeight: 800, lineHeight: 1.1 },
})

/** Something cut into sheets of paper at true size. */
const sheetsOf = (width: Length, height: Length, paper: Paper): readonly Tile[] => {
  const [w, h] = SHEETS[paper]
  return tilesOf(width, height, w - 2 * MARGIN, h - 2 * MARGIN - HEAD)
}

/** One sheet: its part of the drawing, in points from the whole's top left, corners, and the line to check. */
function TrueSheet({
  tile: t,
  of,
  paper,
  words,
  children,
}: {
  readonly tile: Tile
  readonly of: number
  readonly paper: Paper
  readonly words: string
  readonly children: (at: (x: Length, y: Length) => readonly [number, number]) => ReactNode
}) {
  const [w, h] = [t.width * PT, t.height * PT]
  return (
    <Page size={paper} style={sheetStyle.page}>
      <Text>
        {words}. Sheet {t.row + 1}.{t.column + 1} of {of}, row and column. True size when printed at 100 %.
      </Text>
      <View style={{ marginTop: 3, marginBottom: 6 }}>
        <Svg width={CHECK * PT + 2} height={10} viewBox={`-1 0 ${CHECK * PT + 2} 10`}>
          <Line x1={0} x2={CHECK * PT} y1={5} y2={5} stroke="#000" strokeWidth={0.8} />
          <Line x1={0} x2={0} y1={0} y2={10} stroke="#000" strokeWidth={0.8} />
          <Line x1={CHECK * PT} x2={CHECK * PT} y1={0} y2={10} stroke="#000" strokeWidth={0.8} />
        </Svg>
        <Text>This line is 100 mm long. Measure it before you tape anything.</Text>
      </View>
      <Svg width={w} height={h} viewBox={`0 0 ${w} ${h}`}>
        {children((x, y) => [(x - t.x) * PT, (y - t.y) * PT])}
        {[0, w].flatMap((x) =>
          [0, h].map((y) => (
            <G key={`${x} ${y}`}>
              <Line x1={x} x2={x === 0 ? CORNER : w - CORNER} y1={y} y2={y} stroke="#000" strokeWidth={0.8} />
              <Line x1={x} x2={x} y1={y} y2={y === 0 ? CORNER : h - CORNER} stroke="#000" strokeWidth={0.8} />
            </G>
          )),
        )}
      </Svg>
    </Page>
  )
}

/** Something drawn at true size, on as many sheets as it needs. */
export function TrueSheets({
  width,
  height,
  paper,
  words,
  children,
}: {
  readonly width: Length
  readonly height: Length
  readonly paper: Paper
  readonly words: string
  readonly children: (at: (x: Length, y: Length) => readonly [number, number]) => ReactNode
}) {
  const tiles = sheetsOf(width, height, paper)
  return tiles.map((tile) => (
    <TrueSheet key={`${tile.row} ${tile.column}`} tile={tile} of={tiles.length} paper={paper} words={words}>
      {children}
    </TrueSheet>
  ))
}
