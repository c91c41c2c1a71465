import { Document, Image, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer'
import { toDataURL } from 'qrcode'
import { FACE, registerFonts } from './paper'

/** What stands on a tub, in words. */
export interface InkLabel {
  readonly batch: string
  readonly name: string
  readonly system: string
  readonly parts: readonly string[]
  readonly lots: readonly string[]
  readonly mass: string
  readonly mixed: string
  /** Empty for ink that keeps. */
  readonly expires: string
  /** Where the batch is found again. */
  readonly link: string
}

const MM = 72 / 25.4
const s = StyleSheet.create({
  page: {
    fontFamily: FACE,
    padding: 4 * MM,
    color: '#000',
    flexDirection: 'row',
    fontSize: 8,
    lineHeight: 1.3,
  },
  words: { flex: 1, paddingRight: 3 * MM },
  batch: { fontSize: 20, lineHeight: 1.2, fontWeight: 800 },
  name: { fontSize: 13, lineHeight: 1.3, fontWeight: 600 },
  qr: { width: 26 * MM, height: 26 * MM },
})

/** The label of a tub, 100 x 60 mm, with a code that leads back to its batch. */
export async function inkLabelPdf(label: InkLabel): Promise<Buffer> {
  registerFonts()
  const qr = await toDataURL(label.link, { margin: 0, scale: 8 })
  return renderToBuffer(
    <Document title={`Label of ${label.batch}`}>
      <Page size={[100 * MM, 60 * MM]} style={s.page}>
        <View style={s.words}>
          <Text style={s.batch}>{label.batch}</Text>
          <Text style={s.name}>{label.name}</Text>
          <Text>
            {label.system}, {label.mass}
          </Text>
          <Text>{label.parts.join(', ')}</Text>
          <Text>Lots: {label.lots.join(', ') || 'none'}</Text>
          <Text>Mixed {label.mixed || 'not yet'}</Text>
          {label.expires !== '' && <Text style={s.name}>Use before {label.expires}</Text>}
        </View>
        <Image src={qr} style={s.qr} />
      </Page>
    </Document>,
  )
}
