import type { Backup } from '@/store/backup'
import { Day } from '@/ui/day'
import { Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'

/** The backups there are, newest first; one that is torn is shown and cannot be used. */
export const Backups = ({
  backups,
  verb,
  words = verb,
  onUse,
}: {
  readonly backups: readonly Backup[]
  /** What is done with one, and how the button says it. */
  readonly verb: string
  readonly words?: string
  readonly onUse: (backup: Backup) => void
}) => (
  <Table>
    <tbody>
      {backups.map((b) => (
        <tr key={b.name}>
          <td>
            <Day at={b.at} as="EEE d MMM yyyy, HH:mm:ss" />
          </td>
          <td className="num">{Math.round(b.bytes / 1024).toLocaleString('en')} kB</td>
          <td>
            {b.whole ? (
              <TextButton aria-label={`${verb} ${b.name}`} onClick={() => onUse(b)}>
                {words}
              </TextButton>
            ) : (
              <>
                <SeverityMark severity="Stop" /> damaged
              </>
            )}
          </td>
        </tr>
      ))}
    </tbody>
  </Table>
)
