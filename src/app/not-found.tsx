import Link from 'next/link'

export default function NotFound() {
  return (
    <main style={{ padding: '4rem', fontSize: '1.2rem' }}>
      <h1 style={{ fontWeight: 750 }}>Nothing here</h1>
      <p>The order or run is gone, or not ready for a sheet: it may have lost its garments or colours.</p>
      <Link href="/">Back to Today</Link>
    </main>
  )
}
