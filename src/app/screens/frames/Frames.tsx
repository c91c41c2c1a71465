'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useId, useMemo, useState } from 'react'
import { message } from '@/core/advice'
import { FRAME_STATES, type Frame, type ScreenRoom, STEPS } from '@/core/equipment'
import { PLAN } from '@/core/plan'
import { showQuantity, writeQuantity } from '@/core/quantity'
import { nextStep } from '@/core/schedule'
import { tensionOf } from '@/core/screen'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { Empty, PushLink } from '@/ui/Empty'
import { Button, Label } from '@/ui/elements'
import { LineChart } from '@/ui/LineChart'
import { Measure } from '@/ui/Measure'
import { Section, Table } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { Notes } from '../../notes/Notes'
import { useFrames } from '../useFrames'
import { NewReading } from './NewReading'

/** Stock of frames: tension over time, what they carry, and which to stretch anew. */
export function Frames() {
  const { shop, put } = useFrames()
  const meshes = [...new Set(shop.frames.map((f) => f.mesh))].sort((a, b) => a - b)
  const [picked, setMesh] = useState<number>()
  const read = (m: number) => shop.frames.filter((f) => f.mesh === m && f.readings.length > 0).length
  const mesh = meshes.find((m) => m === picked) ?? [...meshes].sort((a, b) => read(b) - read(a))[0]
  const of = useMemo(() => shop.frames.filter((f) => f.mesh === mesh), [shop.frames, mesh])
  if (mesh === undefined)
    return (
      <Empty says="No frames yet. Screens are planned on the frames that stand in the shop: say which mesh each has.">
        <PushLink href="/shop/stock">Add frames</PushLink>
      </Empty>
    )
  const log = (frame: Frame, tension: number) => {
    const on = localNow().slice(0, 10)
    const first = frame.readings.length === 0 ? [] : frame.readings.filter((r) => r.on !== on)
    put([{ ...frame, tension, readings: [...first, { on, tension }] }])
  }
  return (
    <>
      <Flex
        as="fieldset"
        wrap="wrap"
        gap="0"
        border="1px solid"
        borderColor="ink"
        width="max-content"
        maxWidth="100%"
        mb="4"
      >
        <Box as="legend" srOnly>
          Mesh
        </Box>
        {meshes.map((m, i) => (
          <Button
            key={m}
            type="button"
            aria-pressed={m === mesh}
            onClick={() => setMesh(m)}
            px="4"
            py="1.5"
            fontWeight="650"
            borderLeft={i === 0 ? undefined : '1px solid'}
            borderColor="rule"
            bg={m === mesh ? 'ink' : 'transparent'}
            color={m === mesh ? 'work' : 'ink'}
            cursor="pointer"
          >
            <MeshName mesh={m} />
          </Button>
        ))}
      </Flex>
      <Drift leastTension={shop.screens.leastTension} frames={of} />
      <Section title={`${of.length} frames`}>
        <Box overflowX="auto">
          <Table
            minWidth={{ base: '54rem', lg: '0' }}
            css={{ '& td': { paddingBlock: '3px', verticalAlign: 'middle' } }}
          >
            <thead>
              <tr>
                <th>Frame</th>
                <th className="num">Tension</th>
                <th className="num">Since the first reading</th>
                <th>Advice</th>
                <th>Carries</th>
                <th>New reading</th>
              </tr>
            </thead>
            <tbody>
              {of.map((f) => (
                <FrameRow
                  room={shop.screens}
                  key={f.id}
                  frame={f}
                  at={shop.presses.find((p) => p.id === f.mounted?.pressId)?.name}
                  onLog={log}
                />
              ))}
            </tbody>
          </Table>
        </Box>
      </Section>
      <NotesOnFrame key={mesh} frames={of} />
    </>
  )
}

/** What is known of one frame beyond its figures: a dent, a patch. */
function NotesOnFrame({ frames }: { readonly frames: readonly Frame[] }) {
  const id = useId()
  const [picked, setPicked] = useState(frames[0]?.id ?? '')
  return (
    <Section title="Notes and pictures">
      <Label htmlFor={id} mr="2">
        Frame
      </Label>
      <Select id={id} value={picked} onChange={(e) => setPicked(e.target.value)} mb="2">
        {frames.map((f) => (
          <option key={f.id}>{f.id}</option>
        ))}
      </Select>
      <Notes key={picked} about="frame" of={picked} name={picked} />
    </Section>
  )
}

function MeshName({ mesh }: { readonly mesh: number }) {
  const { units } = useSettings()
  return <>{writeQuantity('meshCount', mesh, units)}</>
}

/** Tension of the frames of one mesh over time. */
function Drift({
  frames,
  leastTension,
}: {
  readonly frames: readonly Frame[]
  readonly leastTension: number
}) {
  const { units } = useSettings()
  const shown = (x: number) => Number(showQuantity('tension', x, units).number)
  const unit = showQuantity('tension', leastTension, units).unit
  const series = useMemo(
    () =>
      frames
        .filter((f) => f.readings.length > 0)
        .map((f) => ({
          name: f.id,
          points: f.readings.map(
            (r) => [r.on, Number(showQuantity('tension', r.tension, units).number)] as const,
          ),
        })),
    [frames, units],
  )
  const value = shown(leastTension)
  const least = useMemo(() => ({ value, name: `${value} ${unit}, stretch anew` }), [value, unit])
  if (series.length === 0)
    return (
      <Box color="soft" mb="5">
        No readings yet. Read a frame with a tension meter and enter it below: the drift shows here.
      </Box>
    )
  return (
    <Box mb="5">
      <LineChart label="Tension of these frames over time" series={series} unit={unit} least={least} />
    </Box>
  )
}

function FrameRow({
  frame,
  room,
  at,
  onLog,
}: {
  readonly frame: Frame
  readonly room: ScreenRoom
  /** The press where it is mounted. */
  readonly at: string | undefined
  readonly onLog: (frame: Frame, tension: number) => void
}) {
  const { units } = useSettings()
  const advice = tensionOf(frame, room.leastTension)
  const first = frame.readings[0]
  const next = nextStep(frame)
  return (
    <tr>
      <td>
        <Box fontSize="lead" fontWeight="700" whiteSpace="nowrap" lineHeight="1.2">
          {frame.id}
        </Box>
        <Box fontSize="small" color="soft" whiteSpace="nowrap">
          <Measure kind="length" value={frame.width} /> × <Measure kind="length" value={frame.height} />
        </Box>
      </td>
      <td className="num">
        <Box as="span" fontSize="title" fontWeight="650">
          <AskNumber
            label={`Tension of ${frame.id}`}
            reasons={[PLAN.because('STOCK', { value: { kind: 'tension', value: frame.tension } })]}
          >
            <Measure kind="tension" value={frame.tension} />
          </AskNumber>
        </Box>
      </td>
      <td className="num">
        {first && frame.readings.length > 1 ? (
          <>
            {first.tension >= frame.tension ? '−' : '+'}
            <Measure kind="tension" value={Math.abs(first.tension - frame.tension)} />
          </>
        ) : (
          <Box color="soft">{first ? 'one reading' : 'no reading'}</Box>
        )}
      </td>
      <td>
        {advice.severity ? (
          <>
            <SeverityMark severity={advice.severity} /> {message(advice, units)}
          </>
        ) : (
          <Box color="soft">holds</Box>
        )}
      </td>
      <td>
        {frame.stencil ? (
          <Box lineHeight="1.2" maxWidth="14rem">
            <Box truncate>{frame.stencil.words}</Box>
            <Box color="soft" fontSize="small">
              {at && frame.mounted
                ? `mounted at ${at}, head ${frame.mounted.head}`
                : next !== 'mount' && next
                  ? `next: ${STEPS[next].toLowerCase()}`
                  : 'ready, not mounted'}
            </Box>
          </Box>
        ) : (
          <Box color="soft">nothing, {FRAME_STATES[frame.state].toLowerCase()}</Box>
        )}
      </td>
      <td>
        <NewReading frame={frame} room={room} onLog={onLog} />
      </td>
    </tr>
  )
}
