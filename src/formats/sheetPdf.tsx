import {
  Document,
  Image,
  Line,
  Page,
  Path,
  Rect,
  renderToBuffer,
  StyleSheet,
  Svg,
  Text,
  View,
} from '@react-pdf/renderer'
import { toDataURL } from 'qrcode'
import { lapStripShape, palletShape, type RunPlan } from '@/core/plan'
import type { System } from '@/core/quantity'
import { FACE, type Paper, RULE, registerFonts } from './paper'
import { type SheetContent, type SheetFacts, type SheetMark, sheetOf } from './sheet'

const s = StyleSheet.create({
  page: { fontFamily: FACE, fontSize: 9, padding: '9mm', color: '#000', lineHeight: 1.2 },
  row: { flexDirection: 'row' },
  between: { flexDirection: 'row', justifyContent: 'space-between' },
  title: { fontSize: 17, fontWeight: 800, lineHeight: 1.1 },
  strong: { fontWeight: 600 },
  strip: { flexDirection: 'row', flexWrap: 'wrap', marginTop: 5, borderTop: RULE, borderLeft: RULE },
  place: { flexGrow: 1, flexBasis: 40, minHeight: 50, padding: 2, borderRight: RULE, borderBottom: RULE },
  cell: { padding: '2 3', borderBottom: '0.5pt solid #000' },
  fact: { width: '33.3%', marginBottom: 4 },
  blank: { flexGrow: 1, borderBottom: '0.5pt solid #000', marginLeft: 4, height: 14 },
  small: { fontSize: 7 },
})

/** Widths of the hit table's columns, in parts. */
const COLUMNS = [7, 16, 9, 9, 8, 10, 7, 10, 8, 8, 8] as const

const Hits = ({ content }: { readonly content: SheetContent }) => (
  <View style={{ marginTop: 6 }}>
    {[content.hitHead, ...content.hits].map((row, i) => (
      <View key={i === 0 ? 'head' : `${row[0]} ${row[1]}`} style={s.row} wrap={false}>
        {row.map((cell, column) => (
          <Text
            key={content.hitHead[column]}
            style={[
              s.cell,
              { width: `${COLUMNS[column]}%` },
              ...(i === 0 ? [{ fontSize: 7.5, borderBottom: RULE }] : []),
              ...(i > 0 && [0, 1, 3, 4].includes(column) ? [{ fontWeight: 600 as const, fontSize: 10 }] : []),
            ]}
          >
            {cell}
          </Text>
        ))}
      </View>
    ))}
  </View>
)

/** Height of the ink stack's drawing, in points. */
const STACK = 22

/** The films on the cloth at each place, to scale, in greys: what is fresh is black. */
function Stack({ plan, at, width }: { readonly plan: RunPlan; readonly at: number; readonly width: number }) {
  const { cells, tallest } = lapStripShape(plan)
  const layers = cells[at]?.layers ?? []
  return (
    <Svg width={width} height={STACK + 3} viewBox={`0 0 100 ${STACK + 3}`} preserveAspectRatio="none">
      <Rect x={0} y={STACK} width={100} height={3} fill="#bbb" />
      {layers.map((l) => (
        <Rect
          key={`${l.hitId} ${l.bottom} ${l.from}`}
          x={l.from * 100}
          y={STACK * (1 - l.top / tallest)}
          width={(l.to - l.from) * 100}
          height={(STACK * (l.top - l.bottom)) / tallest}
          fill={l.fresh ? '#000' : '#888'}
          stroke="#fff"
          strokeWidth={0.4}
        />
      ))}
    </Svg>
  )
}

/** Width of a place of the strip for its stack, in points. */
const PLACE = 34

const Strip = ({ content, plan }: { readonly content: SheetContent; readonly plan: RunPlan }) => (
  <View style={s.strip}>
    {content.places.map((p, i) => (
      <View
        // biome-ignore lint/suspicious/noArrayIndexKey: a place of the strip is its index
        key={i}
        style={[s.place, p.flash ? { backgroundColor: '#e2e2e2' } : {}]}
      >
        <Text style={{ fontSize: 13, fontWeight: 800 }}>{p.number}</Text>
        <Text style={[s.strong, { fontSize: 8 }]}>{p.name}</Text>
        <Text style={{ fontSize: 8 }}>{p.detail}</Text>
        <View style={{ marginTop: 'auto' }}>
          <Stack plan={plan} at={i} width={PLACE} />
        </View>
      </View>
    ))}
  </View>
)

function Pallet({ plan }: { readonly plan: RunPlan }) {
  const { pallet, prints, lines, neck } = palletShape(plan)
  const mm = (x: number) => x * 1000
  const left = mm(pallet.x)
  const right = mm(pallet.x + pallet.width)
  return (
    <Svg
      height={130}
      width={105}
      viewBox={`${left - 6} -6 ${mm(pallet.width) + 12} ${mm(pallet.height) + 12}`}
    >
      <Rect
        x={left}
        y={0}
        width={mm(pallet.width)}
        height={mm(pallet.height)}
        rx={14}
        fill="none"
        stroke="#000"
        strokeWidth={3}
      />
      <Line
        x1={0}
        x2={0}
        y1={0}
        y2={mm(pallet.height)}
        stroke="#000"
        strokeWidth={1}
        strokeDasharray="10 5 2 5"
      />
      {lines.map((y) => (
        <Line key={y} x1={left} x2={right} y1={mm(y)} y2={mm(y)} stroke="#777" strokeWidth={1} />
      ))}
      {neck && <Path d="M -80 0 Q 0 46 80 0" fill="none" stroke="#000" strokeWidth={3} />}
      {prints.map((p) => (
        <Rect
          key={p.group}
          x={mm(p.x)}
          y={mm(p.y)}
          width={mm(p.width)}
          height={mm(p.height)}
          fill="#ddd"
          stroke="#000"
          strokeWidth={3}
        />
      ))}
    </Svg>
  )
}

function SheetPage({
  content,
  plan,
  paper,
  square,
}: {
  readonly content: SheetContent
  readonly plan: RunPlan
  readonly paper: Paper
  /** The code as a camera reads it. */
  readonly square: string | undefined
}) {
  return (
    <Document title={content.title} creator="Orvint">
      <Page size={paper} style={s.page}>
        <View style={[s.between, { borderBottom: '2pt solid #000', paddingBottom: 3 }]}>
          <View style={{ maxWidth: '68%' }}>
            <Text style={s.title}>{content.title}</Text>
            <Text>{content.subtitle}</Text>
          </View>
          <View style={s.row}>
            <View style={{ alignItems: 'flex-end' }}>
              <Text style={s.title}>{content.press}</Text>
              <Text>{content.pieces}</Text>
            </View>
            {square && <Image src={square} style={{ width: 32, height: 32, marginLeft: 6 }} />}
          </View>
        </View>
        <View style={[s.between, { marginTop: 3 }]}>
          <Text style={s.strong}>{content.mark}</Text>
          {content.code ? <Text>Still good? Ask Orvint for {content.code}</Text> : null}
        </View>
        {content.problem ? (
          <Text style={{ fontSize: 12, marginTop: 8 }}>Stop: {content.problem}</Text>
        ) : (
          <Strip content={content} plan={plan} />
        )}
        <Hits content={content} />
        <View style={[s.row, { marginTop: 8 }]}>
          <View style={{ flexGrow: 1, flexBasis: 0 }}>
            <View style={[s.row, { flexWrap: 'wrap' }]}>
              {content.facts.map((f) => (
                <View key={f.label} style={s.fact}>
                  <Text style={{ fontSize: 8 }}>{f.label}</Text>
                  <Text style={{ fontSize: 12, fontWeight: 600 }}>{f.text}</Text>
                </View>
              ))}
            </View>
            <View style={{ marginTop: 4 }}>
              {[['Garments', ...content.sizes], ...content.garments.map((g) => [g.name, ...g.counts])].map(
                (row, i) => (
                  <View key={row[0]} style={s.row}>
                    {row.map((cell, column) => (
                      <Text
                        // biome-ignore lint/suspicious/noArrayIndexKey: a size's column is its index
                        key={column}
                        style={[
                          s.cell,
                          { width: column === 0 ? 120 : 30, textAlign: column === 0 ? 'left' : 'right' },
                          i > 0 && column > 0 ? { fontWeight: 600, fontSize: 11 } : {},
                        ]}
                      >
                        {cell}
                      </Text>
                    ))}
                  </View>
                ),
              )}
            </View>
          </View>
          <View style={{ width: 130, alignItems: 'center' }}>
            <Pallet plan={plan} />
            {content.placing.map((p) => (
              <Text key={p.words}>
                {p.length} {p.words}
              </Text>
            ))}
          </View>
        </View>
        <View style={{ marginTop: 6 }}>
          {content.heat.map((h) => (
            <Text key={h.name}>
              {h.name} {h.words}
            </Text>
          ))}
          {content.notes ? <Text>From the order: {content.notes}</Text> : null}
          {content.warnings.map((w) => (
            <Text key={w.text}>
              {w.severity}: {w.text}
            </Text>
          ))}
        </View>
        <View style={[s.row, { marginTop: 8 }]}>
          {['Sample approved by', 'at', 'Spoiled'].map((label) => (
            <View key={label} style={[s.row, { flexGrow: 1, flexBasis: 0, marginRight: 8 }]}>
              <Text>{label}</Text>
              <View style={s.blank} />
            </View>
          ))}
        </View>
        <Text style={{ marginTop: 8 }}>Changed at the press, and why</Text>
        {[1, 2].map((row) => (
          <View key={row} style={{ borderBottom: '0.5pt solid #000', height: 18 }} />
        ))}
        <View style={{ marginTop: 6 }}>
          <Text style={s.small}>{content.cautions}</Text>
          <Text style={s.small}>{content.foot}</Text>
        </View>
      </Page>
    </Document>
  )
}

/** The set-up sheet as a PDF: the same content as on screen, fonts embedded, drawings as vectors. */
export async function sheetPdf(
  facts: SheetFacts,
  units: System,
  mark: SheetMark | undefined,
  paper: Paper = 'A4',
): Promise<Buffer> {
  registerFonts()
  // What a camera reads is the code alone: it opens the press side wherever Orvint runs.
  const square = mark && (await toDataURL(mark.code, { margin: 0, scale: 8 }))
  return renderToBuffer(
    <SheetPage content={sheetOf(facts, units, mark)} plan={facts.plan} paper={paper} square={square} />,
  )
}
