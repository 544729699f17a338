import { failure } from '../api/client'

/** Downloads a file; what the server says against it is thrown in its words, instead of opening as a page of its own. */
export async function download(url: string, name: string): Promise<void> {
  const r = await fetch(url)
  if (!r.ok) throw await failure(r)
  const link = document.createElement('a')
  link.href = URL.createObjectURL(await r.blob())
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
