import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { message } from '@/core/advice'
import { ADDITIVES, type BaseInk } from '@/core/equipment'
import { additivesFor, type Batch, doesOf, SMEAR, saidOfAdditives } from '@/core/ink'
import { Pick, QuantityInput } from '@/ui/given'
import { PushButton } from '@/ui/PushButton'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'

interface Props {
  readonly batch: Batch
  readonly rack: readonly BaseInk[]
  readonly onSet: (code: string, share: number) => void
}

/** What is stirred in by per cent of the whole, and what it does to the colour. */
export function Additives({ batch, rack, onSet }: Props) {
  const { units } = useSettings()
  const offered = additivesFor(batch.system, rack)
  const [code, setCode] = useState(offered[0]?.code ?? '')
  const ink = offered.find((i) => i.code === code)
  const does = ink && doesOf(ink)
  const [share, setShare] = useState<number>()
  const wanted =
    share ?? batch.parts.find((p) => p.code === code)?.share ?? (does ? ADDITIVES[does].usual : 0)
  const said = saidOfAdditives(batch.parts, rack, SMEAR)
  if (offered.length === 0) return null
  return (
    <Box mt="5">
      {batch.state === 'mixing' && (
        <Flex gap="2" align="end">
          <Box flex="1" minWidth="0">
            <Pick
              label="Additive"
              value={code}
              options={offered.map((i) => ({ id: i.code, name: i.name }))}
              onPick={(next) => {
                setCode(next)
                setShare(undefined)
              }}
            />
          </Box>
          <Box width="4.4rem">
            <QuantityInput key={code} label="Share" kind="share" value={wanted} onGive={setShare} />
          </Box>
          <PushButton
            type="button"
            px="3"
            onClick={() => onSet(code, wanted)}
            aria-label={`Set ${ink?.name}`}
          >
            Set
          </PushButton>
        </Flex>
      )}
      {said.map((reason) => (
        <Box key={reason.rule} fontSize="small" mt="2" lineHeight="1.35" data-rule={reason.rule}>
          {reason.severity && <SeverityMark severity={reason.severity} />} {message(reason, units)}
        </Box>
      ))}
    </Box>
  )
}
