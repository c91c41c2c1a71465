import { Box, Flex } from '@chakra-ui/react'

/** A patch of ink or cloth, ringed in grey so that white and black show on any surround. */
export function Swatch({
  hex,
  size = 16,
  round = false,
}: {
  readonly hex: string
  readonly size?: number
  readonly round?: boolean
}) {
  return (
    <Box
      as="span"
      display="inline-block"
      flex="none"
      width={`${size}px`}
      height={`${size}px`}
      borderRadius={round ? 'full' : '1px'}
      boxShadow="0 0 0 1px #808080"
      style={{ background: hex }}
    />
  )
}

/** The inks of a print laid side by side on its cloth. */
export function InkRow({ cloth, inks }: { readonly cloth: string; readonly inks: readonly string[] }) {
  return (
    <Flex
      as="span"
      display="inline-flex"
      align="center"
      gap="5px"
      px="7px"
      py="5px"
      boxShadow="0 0 0 1px #808080"
      style={{ background: cloth }}
    >
      {inks.map((hex, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two inks may share a colour
        <Swatch key={i} hex={hex} size={13} round />
      ))}
    </Flex>
  )
}
