import { Box, Flex, Grid } from '@chakra-ui/react'
import { format } from 'date-fns'
import { useRef, useState } from 'react'
import { keysOf } from '@/core/quantity'
import { JUDGES, pressValues, SAMPLES, type SampleOf, saidOf, VERDICTS } from '@/core/record'
import { Input } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { Tap } from '@/ui/Tap'
import { keepPhoto } from '../../../notes/keepPhoto'
import type { AtPress } from './atPress'
import { ColourReadings } from './ColourReadings'

/** The order of sign-off: square, scrap, garment; pictures; who says it is right. */
export function SampleTab(press: AtPress) {
  const { said, say } = press
  const samples = saidOf(said, 'sample')
  const approved = (of: SampleOf) => samples.some((s) => s.of === of && s.verdict === 'approved')
  const [chosen, setChosen] = useState<SampleOf>()
  const of = chosen ?? keysOf(SAMPLES).find((s) => !approved(s)) ?? 'garment'
  const [judge, setJudge] = useState<keyof typeof JUDGES>('lead')
  const [photos, setPhotos] = useState<readonly string[]>([])
  const [problem, setProblem] = useState('')
  const camera = useRef<HTMLInputElement>(null)
  const bring = async (files: FileList | null) => {
    setProblem('')
    for (const file of [...(files ?? [])].slice(0, 12)) {
      const kept = await keepPhoto(file)
      if (typeof kept === 'string') setPhotos((now) => [...new Set([...now, kept])].slice(0, 12))
      else setProblem(kept.problem)
    }
  }
  const own = Object.keys(pressValues(said)).length
  return (
    <>
      <Flex gap="2" wrap="wrap" mb="4" role="group" aria-label="What is looked at">
        {keysOf(SAMPLES).map((s) => (
          <Tap key={s} chosen={s === of} onTap={() => setChosen(s)}>
            {SAMPLES[s]} {approved(s) ? '✓' : ''}
          </Tap>
        ))}
      </Flex>
      <ColourReadings {...press} />
      <Flex gap="2" wrap="wrap" align="center" mb="4">
        {photos.map((hash) => (
          // biome-ignore lint/performance/noImgElement: it is of this very server, and as large as it is shown
          <img key={hash} src={`/api/photos/${hash}`} alt="Of this sample" width={120} />
        ))}
        <Box flex="none">
          <Tap onTap={() => camera.current?.click()}>Take a picture</Tap>
        </Box>
        <Input
          ref={camera}
          type="file"
          accept="image/*"
          capture="environment"
          multiple
          aria-label="Pictures of the sample"
          hidden
          onChange={(e) => {
            void bring(e.target.files)
            e.target.value = ''
          }}
        />
        {problem && <Box role="alert">{problem}</Box>}
      </Flex>
      <Flex gap="2" wrap="wrap" mb="3" role="group" aria-label="Who says so">
        {keysOf(JUDGES).map((j) => (
          <Tap key={j} chosen={j === judge} onTap={() => setJudge(j)}>
            {JUDGES[j]}
          </Tap>
        ))}
      </Flex>
      <Grid templateColumns="repeat(auto-fit, minmax(10rem, 1fr))" gap="2" mb="2">
        {keysOf(VERDICTS).map((verdict) => (
          <Tap
            key={verdict}
            tall
            onTap={() => {
              say({ kind: 'sample', of, verdict, judge, photos })
              setPhotos([])
              setChosen(undefined)
            }}
          >
            {SAMPLES[of]}: {VERDICTS[verdict].toLowerCase()}
          </Tap>
        ))}
      </Grid>
      <Box color="soft" mb="5">
        {own > 0 ? `${own} set otherwise than planned; ` : 'All set as planned; '}
        an approved first garment makes these settings the shop’s own for alike screens.
      </Box>
      <Section title="Samples so far">
        {samples.length === 0 && <Box color="soft">None yet.</Box>}
        {[...samples].reverse().map((s) => (
          <Flex key={s.id} gap="4" py="2" align="center" borderTop="1px solid" borderColor="rule" wrap="wrap">
            <Box className="num" color="soft">
              {format(new Date(s.at), 'HH:mm')}
            </Box>
            <Box fontWeight="700">
              {SAMPLES[s.of]}: {VERDICTS[s.verdict].toLowerCase()}
            </Box>
            <Box>
              by the {JUDGES[s.judge].toLowerCase()}
              {s.by && `, ${s.by}`}
            </Box>
            {s.photos.map((hash) => (
              // biome-ignore lint/performance/noImgElement: it is of this very server, and as large as it is shown
              <img
                key={hash}
                src={`/api/photos/${hash}`}
                alt={`${SAMPLES[s.of]}, ${VERDICTS[s.verdict].toLowerCase()}`}
                width={80}
              />
            ))}
          </Flex>
        ))}
      </Section>
    </>
  )
}
