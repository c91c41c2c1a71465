import { Circle, Document, G, Line, Page, Rect, renderToBuffer, Svg, Text, View } from '@react-pdf/renderer'
import { numberOf } from '@/core/advice'
import type { Order } from '@/core/order'
import { ownScreens, type RunPlan } from '@/core/plan'
import { type System, writeQuantity } from '@/core/quantity'
import { ENDS, type FilmPosition } from '@/core/registration'
import { FRAME_WALL } from '@/core/screen'
import { type Paper, RULE, registerFonts } from './paper'
import { PT, sheetStyle, TrueSheets } from './trueScale'

/** What is drawn round the art: the gap to the marks and the marks themselves. */
const ROUND = 0.022
const SCALE = 5

const Mark = ({ x, y, r }: { readonly x: number; readonly y: number; readonly r: number }) => (
  <G>
    <Line x1={x - 1.8 * r} x2={x + 1.8 * r} y1={y} y2={y} stroke="#000" strokeWidth={0.5} />
    <Line x1={x} x2={x} y1={y - 1.8 * r} y2={y + 1.8 * r} stroke="#000" strokeWidth={0.5} />
    <Circle cx={x} cy={y} r={r} fill="none" stroke="#000" strokeWidth={0.5} />
  </G>
)

/** Centres of the four marks, from the frame's top left, as seen on the print side. */
const marksOf = (p: FilmPosition): readonly (readonly [number, number])[] => {
  const left = p.left
  const right = p.frameWidth - p.right
  const middle = (left + right) / 2
  return [
    [middle, p.topMark],
    [middle, p.bottomMark],
    [left, p.sideMarks],
    [right, p.sideMarks],
  ]
}

/** The frame with the film on it, one to five. */
function Frame({ position: p }: { readonly position: FilmPosition }) {
  const k = PT / SCALE
  const marks = marksOf(p)
  const [w, h] = [p.frameWidth * k, p.frameHeight * k]
  const [middle = [0, 0]] = marks
  return (
    <Svg width={w + 2} height={h + 2} viewBox={`-1 -1 ${w + 2} ${h + 2}`}>
      <Rect x={0} y={0} width={w} height={h} fill="none" stroke="#000" strokeWidth={1.2} />
      <Rect
        x={FRAME_WALL * k}
        y={FRAME_WALL * k}
        width={w - 2 * FRAME_WALL * k}
        height={h - 2 * FRAME_WALL * k}
        fill="none"
        stroke="#000"
        strokeWidth={0.4}
      />
      <Line x1={w / 2} x2={w / 2} y1={0} y2={h} stroke="#000" strokeWidth={0.4} strokeDasharray="6 3" />
      <Rect
        x={(middle[0] - p.width / 2) * k}
        y={p.top * k}
        width={p.width * k}
        height={p.height * k}
        fill="#ddd"
        stroke="#000"
        strokeWidth={0.8}
      />
      {marks.map(([x, y]) => (
        <Mark key={`${x} ${y}`} x={x * k} y={y * k} r={4} />
      ))}
    </Svg>
  )
}

/** The outline and the marks at true size. */
function Outline({
  position: p,
  at,
}: {
  readonly position: FilmPosition
  readonly at: (x: number, y: number) => readonly [number, number]
}) {
  const left = p.left + (p.frameWidth - p.right - p.left - p.width) / 2
  const on = (x: number, y: number) => at(x - left + ROUND, y - p.top + ROUND)
  const [ax, ay] = on(left, p.top)
  return (
    <G>
      <Rect
        x={ax}
        y={ay}
        width={p.width * PT}
        height={p.height * PT}
        fill="none"
        stroke="#000"
        strokeWidth={0.7}
      />
      <Line
        x1={ax + (p.width * PT) / 2}
        x2={ax + (p.width * PT) / 2}
        y1={ay}
        y2={ay + p.height * PT}
        stroke="#000"
        strokeWidth={0.4}
        strokeDasharray="6 3"
      />
      {marksOf(p).map(([x, y]) => {
        const [mx, my] = on(x, y)
        return <Mark key={`${x} ${y}`} x={mx} y={my} r={0.0035 * PT} />
      })}
    </G>
  )
}

/**
 * The film position sheet of a run: what to measure, the frame drawn one to five as the person taping sees it, and the
 * outline with its marks at true size, tiled where it is larger than the paper.
 *
 * @param units of the numbers that are read
 */
export async function positionPdf(order: Order, plan: RunPlan, units: System, paper: Paper): Promise<Buffer> {
  registerFonts()
  const p = plan.position
  const length = (x: number) => writeQuantity('length', x, units)
  const words = `${plan.run.id}, ${order.customer}, ${order.title}`
  const measured = [
    ['Top edge to top mark', p.topMark],
    ['Left edge to left mark', p.left],
    ['Right edge to right mark', p.right],
    ['Top edge to side marks', p.sideMarks],
    ['Top edge to bottom mark', p.bottomMark],
  ] as const
  return renderToBuffer(
    <Document title={`Film position ${plan.run.id}`}>
      <Page size={paper} style={sheetStyle.page}>
        <Text style={sheetStyle.title}>Film position</Text>
        <Text>
          {words}. The same for every screen of this run. Seen on the print side, {ENDS[p.origin]} up.
        </Text>
        <View style={[sheetStyle.row, { marginTop: 10 }]}>
          <Frame position={p} />
          <View style={{ marginLeft: 14, flexGrow: 1 }}>
            {measured.map(([label, value]) => (
              <View key={label} style={{ marginBottom: 7 }}>
                <Text>{label}</Text>
                <Text style={sheetStyle.big}>{length(value)}</Text>
              </View>
            ))}
          </View>
        </View>
        <Text style={{ marginTop: 8 }}>
          Frame {length(p.frameWidth)} x {length(p.frameHeight)}, drawn 1 : {SCALE}. Art {length(p.width)} x{' '}
          {length(p.height)}. Film ink side down on the emulsion: it reads mirrored as you look at it. Level
          and square to the frame.
        </Text>
        <View style={{ marginTop: 8, borderTop: RULE }}>
          {ownScreens(plan.hits).map((h) => (
            <View key={h.hit.id} style={sheetStyle.row} wrap={false}>
              <Text style={[sheetStyle.cell, { width: '34%', fontWeight: 600 }]}>{h.hit.name}</Text>
              <Text style={[sheetStyle.cell, { width: '18%' }]}>{h.frame?.id ?? 'no frame'}</Text>
              <Text style={[sheetStyle.cell, { width: '18%' }]}>
                {writeQuantity('meshCount', numberOf(h.mesh), units)}
              </Text>
              <Text style={[sheetStyle.cell, { width: '30%' }]}>taped, checked by: </Text>
            </View>
          ))}
        </View>
      </Page>
      <TrueSheets width={p.width + 2 * ROUND} height={p.height + 2 * ROUND} paper={paper} words={words}>
        {(at) => <Outline position={p} at={at} />}
      </TrueSheets>
    </Document>,
  )
}
