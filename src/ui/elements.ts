import { chakra } from '@chakra-ui/react'
import NextLink from 'next/link'

/** Plain elements that take style, once for all. */
export const Link = chakra(NextLink)
export const Button = chakra('button')
export const Input = chakra('input')
export const Label = chakra('label')
export const Fieldset = chakra('fieldset')
export const Textarea = chakra('textarea')

/** The name of a page. */
export const PageTitle = chakra('h1', {
  base: { fontSize: 'figure', fontWeight: '750', fontStretch: '80%', lineHeight: '1.1' },
})
