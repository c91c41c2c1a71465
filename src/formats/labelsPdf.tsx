import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer'
import { FACE, type Paper, registerFonts } from './paper'

/** What stands on the label of one screen, in words. */
export interface ScreenLabel {
  readonly frame: string
  readonly colour: string
  readonly job: string
  readonly order: string
  readonly mesh: string
  readonly stencil: string
  readonly due: string
}

const s = StyleSheet.create({
  page: {
    fontFamily: FACE,
    padding: '10mm',
    color: '#000',
    flexDirection: 'row',
    flexWrap: 'wrap',
  },
  // A line is as high as the type that is set where its height is.
  label: {
    width: '33.33%',
    height: '34mm',
    border: '0.5pt solid #000',
    padding: 6,
    fontSize: 8.5,
    lineHeight: 1.25,
  },
  top: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    fontSize: 15,
    lineHeight: 1.3,
    fontWeight: 800,
  },
  colour: { fontSize: 11, lineHeight: 1.35, fontWeight: 600 },
  job: { maxLines: 2, textOverflow: 'ellipsis' },
})

/** Labels for screens, three across, to cut and tape on the frame. */
export async function labelsPdf(labels: readonly ScreenLabel[], paper: Paper): Promise<Buffer> {
  registerFonts()
  return renderToBuffer(
    <Document title="Screen labels">
      <Page size={paper} style={s.page}>
        {labels.map((l) => (
          <View key={`${l.order} ${l.colour} ${l.frame}`} style={s.label} wrap={false}>
            <View style={s.top}>
              <Text>{l.frame}</Text>
              <Text>{l.due}</Text>
            </View>
            <Text style={s.colour}>{l.colour}</Text>
            <Text style={s.job}>
              {l.order}, {l.job}
            </Text>
            <Text>{l.mesh}</Text>
            <Text>{l.stencil}</Text>
          </View>
        ))}
      </Page>
    </Document>,
  )
}
