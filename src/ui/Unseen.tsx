import { chakra } from '@chakra-ui/react'

const Span = chakra('span')

/** What a value is, said before it to whoever does not see where it stands; it is no text of the page. */
export const Unseen = ({ label }: { readonly label: string }) => <Span role="img" aria-label={`${label}: `} />
