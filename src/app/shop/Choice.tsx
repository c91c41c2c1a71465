import { Box } from '@chakra-ui/react'
import { Label } from '@/ui/elements'
import { Select } from '@/ui/Select'

interface ChoiceProps {
  /** Which of several: said after the label, not shown. */
  readonly of?: string | undefined
  readonly id: string
  readonly label: string
  readonly value: string
  readonly options: Readonly<Record<string, string>>
  readonly onChoose: (value: string) => void
}

/** A choice that changes more than one field of the form. */
export const Choice = ({ id, label, of, value, options, onChoose }: ChoiceProps) => (
  <Box>
    <Label htmlFor={id} display="block" fontSize="small" color="soft">
      {label}
      {of && <Box as="span" srOnly>{` of ${of}`}</Box>}
    </Label>
    <Select id={id} field value={value} onChange={(e) => onChoose(e.target.value)}>
      {Object.entries(options).map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </Select>
  </Box>
)
