'use client'

import { Box } from '@chakra-ui/react'
import { useState } from 'react'
import { useFormContext } from 'react-hook-form'
import { q } from '@/core/advice'
import type { Dryer, FlashUnit, ShopAndShelf } from '@/core/equipment'
import { HEAT } from '@/core/heat'
import { AskNumber } from '@/ui/AskNumber'
import { CautionLines } from '@/ui/Cautions'
import { Day } from '@/ui/day'
import { Measure } from '@/ui/Measure'
import { Section, Table, TextButton } from '@/ui/Section'
import { unlocked } from '../../edits/unlocked'
import { useShop } from '../shopContext'
import { FlashCalibrator } from './FlashCalibrator'
import { TunnelCalibrator } from './TunnelCalibrator'

/** Every flash unit and tunnel as it was read, and the sheets to read them by. */
export function Heat() {
  const { shop } = useShop()
  const { setValue, getValues } = useFormContext<ShopAndShelf>()
  const [open, setOpen] = useState('')
  /** Keeps what was found, or takes it back; the list may have moved since the sheet was opened. */
  const keep = <L extends 'flashes' | 'dryers'>(
    list: L,
    id: string,
    calibration: ShopAndShelf['shop'][L][number]['calibration'],
  ) =>
    setValue(
      `shop.${list}` as 'shop.flashes',
      unlocked(
        (getValues(`shop.${list}`) as readonly (FlashUnit | Dryer)[]).map((x) => {
          const { calibration: _, ...plain } = x
          return x.id === id ? { ...plain, ...(calibration && { calibration }) } : x
        }),
      ) as never,
      { shouldDirty: true, shouldValidate: true },
    )
  const toggle = (id: string) => setOpen(open === id ? '' : id)
  return (
    <>
      <Section title="Flash units">
        {shop.flashes.length === 0 && <Box color="soft">None. Add one at Presses.</Box>}
        {shop.flashes.length > 0 && (
          <Table>
            <thead>
              <tr>
                <th>Unit</th>
                <th>Press</th>
                <th>Read</th>
                <th className="num">Heat</th>
                <th className="num">A dwell is right to</th>
                <th>
                  <Box srOnly>Calibrate</Box>
                </th>
              </tr>
            </thead>
            <tbody>
              {shop.flashes.map((f) => (
                <tr key={f.id}>
                  <td>
                    <Box fontWeight="650">{f.name}</Box>
                  </td>
                  <td>{shop.presses.find((p) => p.id === f.pressId)?.name}</td>
                  <td>{f.calibration ? <Day at={f.calibration.on} as="d MMM yyyy" /> : 'never: as usual'}</td>
                  <FlashNumbers unit={f} />
                  <Doings
                    name={f.name}
                    isOpen={open === f.id}
                    isRead={f.calibration !== undefined}
                    onToggle={() => toggle(f.id)}
                    onForget={() => keep('flashes', f.id, undefined)}
                  />
                </tr>
              ))}
            </tbody>
          </Table>
        )}
        {shop.flashes
          .filter((f) => f.id === open)
          .map((f) => (
            <FlashCalibrator key={f.id} unit={f} onUse={(c) => keep('flashes', f.id, c)} />
          ))}
      </Section>
      <Section title="Tunnels">
        {shop.dryers.length === 0 && <Box color="soft">None. Add one at Frames, squeegees, dryers.</Box>}
        {shop.dryers.length > 0 && (
          <Table>
            <thead>
              <tr>
                <th>Tunnel</th>
                <th>Read</th>
                <th className="num">Heated length</th>
                <th className="num">Heat</th>
                <th className="num">A film is right to</th>
                <th>
                  <Box srOnly>Calibrate</Box>
                </th>
              </tr>
            </thead>
            <tbody>
              {shop.dryers.map((d) => (
                <tr key={d.id}>
                  <td>
                    <Box fontWeight="650">{d.name}</Box>
                  </td>
                  <td>{d.calibration ? <Day at={d.calibration.on} as="d MMM yyyy" /> : 'never: as usual'}</td>
                  <td className="num">
                    <Measure kind="length" value={d.heatedLength} />
                  </td>
                  <TunnelNumbers dryer={d} />
                  <Doings
                    name={d.name}
                    isOpen={open === d.id}
                    isRead={d.calibration !== undefined}
                    onToggle={() => toggle(d.id)}
                    onForget={() => keep('dryers', d.id, undefined)}
                  />
                </tr>
              ))}
            </tbody>
          </Table>
        )}
        {shop.dryers
          .filter((d) => d.id === open)
          .map((d) => (
            <TunnelCalibrator key={d.id} dryer={d} onUse={(c) => keep('dryers', d.id, c)} />
          ))}
      </Section>
      <Section title="Take care">
        <CautionLines at="flash" />
        <CautionLines at="dryer" />
      </Section>
    </>
  )
}

/** So far a dwell is off at a unit that was never read, and a film in such a tunnel (figures of the model): s, K. */
const UNREAD = { dwell: 2.5, film: 20 } as const

function FlashNumbers({ unit: { name, calibration } }: { readonly unit: FlashUnit }) {
  const { gain = 1, contact = 1, loss = 1, dwellSpread = UNREAD.dwell } = calibration ?? {}
  const why = [
    HEAT.because('READ_HEAT', {
      gain: q('share', gain),
      contact: q('share', contact),
      loss: q('share', loss),
    }),
  ]
  return (
    <>
      <td className="num">
        <Box as="span" fontSize="lead" fontWeight="650">
          <AskNumber label={`Heat of ${name}`} reasons={why}>
            <Measure kind="share" value={gain} />
          </AskNumber>
        </Box>
      </td>
      <td className="num">
        <AskNumber label={`Dwells under ${name}`} reasons={why}>
          ± <Measure kind="duration" value={dwellSpread} />
        </AskNumber>
      </td>
    </>
  )
}

function TunnelNumbers({ dryer: { name, calibration } }: { readonly dryer: Dryer }) {
  const { gain = 1, filmSpread = UNREAD.film } = calibration ?? {}
  const spread = q('count', Math.round(filmSpread))
  const why = [HEAT.because('READ_TUNNEL', { gain: q('share', gain), spread })]
  return (
    <>
      <td className="num">
        <Box as="span" fontSize="lead" fontWeight="650">
          <AskNumber label={`Heat of ${name}`} reasons={why}>
            <Measure kind="share" value={gain} />
          </AskNumber>
        </Box>
      </td>
      <td className="num">
        <AskNumber label={`Films in ${name}`} reasons={why}>
          ± {Math.round(filmSpread)} K
        </AskNumber>
      </td>
    </>
  )
}

function Doings({
  name,
  isOpen,
  isRead,
  onToggle,
  onForget,
}: {
  readonly name: string
  readonly isOpen: boolean
  readonly isRead: boolean
  readonly onToggle: () => void
  readonly onForget: () => void
}) {
  return (
    <td>
      <TextButton onClick={onToggle} aria-expanded={isOpen} aria-label={`Calibrate ${name}`}>
        {isOpen ? 'Close' : isRead ? 'Read again' : 'Calibrate'}
      </TextButton>{' '}
      {isRead && (
        <TextButton onClick={onForget} aria-label={`${name} as usual`}>
          Back to usual
        </TextButton>
      )}
    </td>
  )
}
