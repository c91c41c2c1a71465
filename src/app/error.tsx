'use client'

export default function ErrorPage({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main style={{ padding: '4rem', fontSize: '1.2rem' }}>
      <h1 style={{ fontWeight: 750 }}>Something broke</h1>
      <p>What was saved is safe. {error.message}</p>
      <button type="button" onClick={reset} style={{ textDecoration: 'underline' }}>
        Try again
      </button>
    </main>
  )
}
