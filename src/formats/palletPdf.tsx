import { Document, G, Line, Page, Rect, renderToBuffer, Text, View } from '@react-pdf/renderer'
import type { Order } from '@/core/order'
import type { RunPlan } from '@/core/plan'
import { type Length, mm, type System, writeQuantity } from '@/core/quantity'
import { ENDS, type LayLine, type PalletTemplate, palletTemplate } from '@/core/registration'
import { type Paper, RULE, registerFonts } from './paper'
import { PT, sheetStyle, TrueSheets } from './trueScale'

/** Paper round what is drawn. */
const ROUND: Length = mm(15)
/** What a line is of, by what is laid to it. */
const LINE_OF = {
  collar: 'collar seam',
  shoulder: 'shoulder seam at the neck',
  hem: 'hem',
  edge: 'edge of the item',
} as const satisfies Record<PalletTemplate['origin'], string>

/** The whole that is drawn, metres from the art's top left. */
function boundsOf({ width, height, lines }: PalletTemplate) {
  const creases = lines.map((l) => l.crease)
  const left = Math.min(0, ...creases) - ROUND
  const right = Math.max(width, ...creases) + ROUND
  const top = Math.min(0, ...lines.map((l) => -l.above)) - ROUND
  const bottom = Math.max(height, ...lines.map((l) => -l.above)) + ROUND
  return { left, top, width: right - left, height: bottom - top }
}

const lineWords = (template: PalletTemplate, { sizes }: LayLine) =>
  template.lines.length === 1 ? LINE_OF[template.origin] : `${LINE_OF[template.origin]}: ${sizes.join(', ')}`

/** Art, creases and lines, at true size. */
function Drawn({
  template: t,
  at,
}: {
  readonly template: PalletTemplate
  readonly at: (x: Length, y: Length) => readonly [number, number]
}) {
  const b = boundsOf(t)
  const on = (x: Length, y: Length) => at(x - b.left, y - b.top)
  const [ax, ay] = on(0, 0)
  return (
    <G>
      <Rect
        x={ax}
        y={ay}
        width={t.width * PT}
        height={t.height * PT}
        fill="none"
        stroke="#000"
        strokeWidth={1}
      />
      {t.lines.map((l) => {
        const [x1, y] = on(b.left, -l.above)
        const [x2] = on(b.left + b.width, -l.above)
        const [cx, cTop] = on(l.crease, b.top)
        const [, cBottom] = on(l.crease, b.top + b.height)
        return (
          <G key={lineWords(t, l)}>
            <Line
              x1={cx}
              x2={cx}
              y1={cTop}
              y2={cBottom}
              stroke="#000"
              strokeWidth={0.6}
              strokeDasharray="8 4 2 4"
            />
            {t.lines.length > 1 && (
              <Text x={cx + 3} y={cBottom - 4} style={{ fontSize: 8 }}>
                {l.sizes.join(', ')}
              </Text>
            )}
            <Line x1={x1} x2={x2} y1={y} y2={y} stroke="#000" strokeWidth={0.8} />
            <Text x={x1 + 4} y={y - 3} style={{ fontSize: 8 }}>
              {lineWords(t, l)}
            </Text>
          </G>
        )
      })}
    </G>
  )
}

const STEPS = [
  'Print at 100 %, measure the check line, tape the sheets edge to edge by their corners.',
  'Tape the template to the pallet: its dashed line on the pallet’s middle, square to its edges.',
  'Draw each laying line and the middle onto the pallet with a marker, and write the sizes beside it.',
  'Lay a garment of each group to its line, its crease on the dashed line, and lower the first screen: the art has to fall on the outline.',
  'Where the press has no adjusters: tape the film to a garment laid so, lower a blank screen, mark the film’s edges on its mesh, and lay every film of the job to those marks.',
] as const

/**
 * The template of a run for its pallet: a line for each group of sizes, the crease, the outline of the art, at true size and
 * tiled where it is larger than the paper; numbers and steps on the first page.
 */
export async function palletPdf(order: Order, plan: RunPlan, units: System, paper: Paper): Promise<Buffer> {
  registerFonts()
  const { width, height } = plan.run.placement
  const t = palletTemplate({ width, height }, plan.placement)
  const b = boundsOf(t)
  const words = `${plan.run.id}, ${order.customer}, ${order.title}`
  const length = (x: Length) => writeQuantity('length', x, units)
  return renderToBuffer(
    <Document title={`Pallet template ${plan.run.id}`}>
      <Page size={paper} style={sheetStyle.page}>
        <Text style={sheetStyle.title}>Pallet template</Text>
        <Text>
          {words}. As the loader sees it, {ENDS[t.origin]} away. Screens stay where they are: garments are
          laid to the line of their size.
        </Text>
        <View style={[sheetStyle.row, { marginTop: 10, flexWrap: 'wrap' }]}>
          {t.lines.map((l) => {
            const off = t.width / 2 - l.crease
            const aside = `${length(Math.abs(off))} ${off > 0 ? 'right' : 'left'}`
            return (
              <View key={lineWords(t, l)} style={{ marginRight: 24, marginBottom: 7 }}>
                <Text>{`From the ${LINE_OF[t.origin]} to the art, ${l.sizes.join(', ')}`}</Text>
                <Text style={sheetStyle.big}>{length(l.above)}</Text>
                <Text>{`Middle of the art ${Math.abs(off) < 5e-4 ? 'on the crease' : `${aside} of the crease`}`}</Text>
              </View>
            )
          })}
          <View style={{ marginBottom: 7 }}>
            <Text>Art</Text>
            <Text style={sheetStyle.big}>{`${length(t.width)} x ${length(t.height)}`}</Text>
          </View>
        </View>
        <View style={{ marginTop: 6, borderTop: RULE }}>
          {STEPS.map((step, i) => (
            <View key={step} style={[sheetStyle.row, { marginTop: 5 }]} wrap={false}>
              <Text style={{ width: 18, fontWeight: 800 }}>{i + 1}</Text>
              <Text style={{ flex: 1 }}>{step}</Text>
            </View>
          ))}
        </View>
        <Text style={{ marginTop: 10 }}>
          A garment laid by hand lies some 3 to 5 mm off, one standard deviation (assumed): 10 mm off is seen,
          3 mm is not.
        </Text>
      </Page>
      <TrueSheets width={b.width} height={b.height} paper={paper} words={words}>
        {(at) => <Drawn template={t} at={at} />}
      </TrueSheets>
    </Document>,
  )
}
