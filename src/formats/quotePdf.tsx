import {
  Document,
  G,
  Image,
  Page,
  Path,
  Rect,
  renderToBuffer,
  StyleSheet,
  Svg,
  Text,
  View,
} from '@react-pdf/renderer'
import type { ReactNode } from 'react'
import { type System, sayDay, writeQuantity } from '@/core/quantity'
import { FACE, type Paper, RULE, registerFonts } from './paper'
import { COMPUTED, type Drawing, QUANTITIES, type QuoteContent, type QuotedPrint } from './quote'

const s = StyleSheet.create({
  page: { fontFamily: FACE, fontSize: 9.5, padding: '16mm 16mm 18mm', color: '#000', lineHeight: 1.3 },
  row: { flexDirection: 'row' },
  head: { flexDirection: 'row', justifyContent: 'space-between', borderBottom: RULE, paddingBottom: 6 },
  shop: { fontSize: 18, fontWeight: 800, lineHeight: 1.1 },
  title: { fontSize: 13, fontWeight: 800, marginTop: 14, marginBottom: 4 },
  cell: { padding: '3 0', borderBottom: '0.5pt solid #999' },
  right: { textAlign: 'right' },
  strong: { fontWeight: 600 },
  small: { fontSize: 8, color: '#333' },
})

/** Height of a drawing, points. */
const TALL = 190
/** The picture has a clear border of so much of the print's longer side. */
const BORDER = 0.06
/** Points of a millimetre of a drawing that is so high. */
const scaleOf = ({ room }: Drawing) => TALL / room.height

const money = (x: number) => writeQuantity('money', x, 'metric')

function Proof({ print, picture }: { readonly print: QuotedPrint; readonly picture: Buffer | undefined }) {
  const { drawing: d } = print
  if (!d) return picture ? <Image src={picture} style={{ width: 150 }} /> : null
  const k = scaleOf(d)
  const border = BORDER * Math.max(d.art.width, d.art.height)
  const ring = { stroke: '#555', strokeWidth: 2.5, fill: 'none' }
  return (
    <View style={{ width: d.room.width * k, height: TALL, position: 'relative' }}>
      <Svg
        width={d.room.width * k}
        height={TALL}
        viewBox={`${d.room.x} ${d.room.y} ${d.room.width} ${d.room.height}`}
      >
        <Path d={d.outline} fill={d.hex} stroke="#555" strokeWidth={2.5} />
        <Path d={d.seams} {...ring} />
        <Path d={d.edge} {...ring} strokeWidth={6} />
        {picture ? <G /> : <Rect {...artOf(d)} fill="#888" fillOpacity={0.5} />}
      </Svg>
      {picture && (
        <Image
          src={picture}
          style={{
            position: 'absolute',
            left: (d.art.x - border - d.room.x) * k,
            top: (d.art.y - border - d.room.y) * k,
            width: (d.art.width + 2 * border) * k,
            height: (d.art.height + 2 * border) * k,
            ...(d.turned && { transform: 'rotate(180deg)' }),
          }}
        />
      )}
    </View>
  )
}

const artOf = ({ art }: Drawing) => ({ x: art.x, y: art.y, width: art.width, height: art.height })

function Row({
  widths,
  cells,
  bold,
}: {
  widths: readonly number[]
  cells: readonly string[]
  bold?: boolean
}) {
  return (
    <View style={s.row} wrap={false}>
      {cells.map((cell, i) => (
        <Text
          // biome-ignore lint/suspicious/noArrayIndexKey: a column is its index
          key={i}
          style={[
            s.cell,
            { width: `${widths[i]}%` },
            ...(i > 0 ? [s.right] : []),
            ...(bold ? [s.strong] : []),
          ]}
        >
          {cell}
        </Text>
      ))}
    </View>
  )
}

const Title = ({ children }: { readonly children: ReactNode }) => (
  <Text style={s.title} minPresenceAhead={60}>
    {children}
  </Text>
)

function QuotePage({ content, pictures, priced, on, paper, units }: QuotePdf) {
  const longDay = (day: string) => sayDay(day, 'd MMMM yyyy', units)
  const { order, garments, prints, garment, total } = content
  return (
    <Page size={paper} style={s.page}>
      <View style={s.head}>
        <Text style={s.shop}>{content.shopName}</Text>
        <View style={s.right}>
          <Text style={s.strong}>
            {priced ? 'Quote and proof' : 'Proof'} {order.id}
          </Text>
          <Text>{longDay(on)}</Text>
        </View>
      </View>
      <View style={[s.row, { justifyContent: 'space-between', marginTop: 8 }]}>
        <View>
          <Text style={s.strong}>{order.customer}</Text>
          <Text>{order.title}</Text>
        </View>
        <Text>
          Ready by <Text style={s.strong}>{longDay(order.due)}</Text>
        </Text>
      </View>
      <Title>Garments</Title>
      {garments.map((g) => (
        <Row
          key={`${g.words} ${g.sizes}`}
          widths={[38, 48, 14]}
          cells={[g.words, g.sizes, String(g.pieces)]}
        />
      ))}
      <Title>Prints</Title>
      {prints.map((p) => (
        <View
          key={p.runId}
          style={[s.row, { gap: 16, paddingVertical: 8, borderBottom: '0.5pt solid #999' }]}
          wrap={false}
        >
          <View style={{ width: '45%', alignItems: 'center' }}>
            <Proof print={p} picture={pictures.get(p.runId)} />
          </View>
          <View style={{ width: '52%' }}>
            <Text style={[s.strong, { fontSize: 12 }]}>{p.where}</Text>
            <Text>
              {p.pieces} pieces on {p.on}
            </Text>
            <Text style={s.strong}>{p.size}</Text>
            <Text>{p.placed}</Text>
            {p.drawing && <Text style={s.small}>drawn on size {p.drawing.size}</Text>}
            <View style={{ marginTop: 6 }}>
              {p.inks.map((i) => (
                <View key={`${i.name} ${i.hex}`} style={[s.row, { alignItems: 'center', marginBottom: 3 }]}>
                  <Svg width={22} height={12}>
                    <Rect
                      x={0.5}
                      y={0.5}
                      width={21}
                      height={11}
                      fill={i.hex}
                      stroke="#555"
                      strokeWidth={0.5}
                    />
                  </Svg>
                  <Text style={{ marginLeft: 6 }}>{i.name}</Text>
                </View>
              ))}
            </View>
          </View>
        </View>
      ))}
      <Text style={[s.small, { marginTop: 6 }]}>{COMPUTED}</Text>
      {priced && <Prices {...{ prints, garment, total }} />}
      <View wrap={false} style={{ marginTop: 26 }}>
        <View style={{ borderTop: RULE, width: '60%', paddingTop: 3 }}>
          <Text style={s.small}>Approved: name, day</Text>
        </View>
      </View>
      <Text
        fixed
        style={[s.small, { position: 'absolute', bottom: '9mm', right: '16mm' }]}
        render={({ pageNumber, totalPages }) => `${order.id}, page ${pageNumber} of ${totalPages}`}
      />
    </Page>
  )
}

function Prices({ prints, garment, total }: Pick<QuoteContent, 'prints' | 'garment' | 'total'>) {
  const widths = [52, 14, 16, 18]
  const first = 100 - QUANTITIES.length * 11
  const by = [first, ...QUANTITIES.map(() => 11)]
  return (
    <>
      <Title>Prices</Title>
      <Row bold widths={widths} cells={['', 'Pieces', 'Each', 'Sum']} />
      {prints.map((p) => (
        <Row
          key={p.runId}
          widths={widths}
          cells={[
            `${p.where} on ${p.on}`,
            String(p.pieces),
            p.priced ? money(p.priced.each) : 'on request',
            p.priced ? money(p.priced.sum) : '',
          ]}
        />
      ))}
      {garment && (
        <Row
          widths={widths}
          cells={['Garments', String(garment.pieces), money(garment.each), money(garment.sum)]}
        />
      )}
      {total !== undefined && <Row bold widths={widths} cells={['In all', '', '', money(total)]} />}
      <Title>Printing a piece, by quantity</Title>
      <Row bold widths={by} cells={['', ...QUANTITIES.map(String)]} />
      {prints.map((p) => (
        <Row
          key={p.runId}
          widths={by}
          cells={[
            `${p.where} on ${p.on}`,
            ...(p.priced?.at.map((a) => money(a.each)) ?? QUANTITIES.map(() => 'on request')),
          ]}
        />
      ))}
    </>
  )
}

export interface QuotePdf {
  readonly content: QuoteContent
  /** What each run's print looks like on its cloth, PNG, by run. */
  readonly pictures: ReadonlyMap<string, Buffer>
  readonly priced: boolean
  /** The day of the quote, `2026-11-30`. */
  readonly on: string
  readonly paper: Paper
  readonly units: System
}

export async function quotePdf(quote: QuotePdf): Promise<Buffer> {
  registerFonts()
  const { order, shopName } = quote.content
  return renderToBuffer(
    <Document title={`${order.id} ${order.title}`} author={shopName} language="en">
      <QuotePage {...quote} />
    </Document>,
  )
}
