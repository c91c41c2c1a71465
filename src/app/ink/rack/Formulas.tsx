import { Box, chakra, Flex } from '@chakra-ui/react'
import { useFormContext, useWatch } from 'react-hook-form'
import { hexOfLab } from '@/core/color'
import type { Formula, ShopAndShelf } from '@/core/equipment'
import { Section, TextButton } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { unlocked } from '../../edits/unlocked'

const Link = chakra('a')

/** Colours that were mixed before, with their parts. */
export function Formulas() {
  const { setValue } = useFormContext<ShopAndShelf>()
  const formulas = useWatch({ name: 'shop.inkRoom.formulas' }) as readonly Formula[]
  return (
    <Section
      title={`Formulas: ${formulas.length}`}
      side={
        <Link href="/api/ink/formulas.csv" textDecoration="underline">
          Formulas (CSV)
        </Link>
      }
    >
      {formulas.length === 0 && <Box color="soft">None yet.</Box>}
      {formulas.map((f) => (
        <Flex key={f.id} gap="4" align="center" py="1" borderTop="1px solid" borderColor="rule">
          <Swatch hex={hexOfLab(f.target)} size={22} />
          <Box fontWeight="600" width="11rem">
            {f.name}
          </Box>
          <Box flex="1">{f.parts.map((p) => `${p.code} ${(p.share * 100).toFixed(1)} %`).join(', ')}</Box>
          <TextButton
            aria-label={`Remove ${f.name}`}
            onClick={() => setValue('shop.inkRoom.formulas', unlocked(formulas.filter((o) => o !== f)))}
          >
            remove
          </TextButton>
        </Flex>
      ))}
    </Section>
  )
}
