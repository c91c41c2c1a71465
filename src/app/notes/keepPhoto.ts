/** Keeps a picture. @returns its name, or what stood in the way */
export async function keepPhoto(file: File): Promise<string | { readonly problem: string }> {
  try {
    const answer = await fetch('/api/photos', { method: 'POST', body: file })
    const told = (await answer.json()) as { readonly hash: string } | { readonly wrong: readonly string[] }
    return 'hash' in told ? told.hash : { problem: told.wrong.join(' ') }
  } catch {
    return { problem: 'No way to Orvint: take the picture again when it is back.' }
  }
}
