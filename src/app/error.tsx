'use client'

export default function ErrorPage({
  error,
  reset,
}: {
  readonly error: Error & { digest?: string }
  readonly reset: () => void
}) {
  return (
    <main style={{ padding: '4rem', fontSize: '1.2rem' }}>
      <h1 style={{ fontWeight: 750 }}>Something broke</h1>
      <p>What was saved is safe. {error.digest ? `It is in the log as ${error.digest}.` : error.message}</p>
      <p>
        <button type="button" onClick={reset} style={{ textDecoration: 'underline' }}>
          Try again
        </button>
      </p>
      <p>
        If it stays:{' '}
        <a href="/recover" style={{ textDecoration: 'underline' }}>
          look at the data and its backups
        </a>
        .
      </p>
    </main>
  )
}
