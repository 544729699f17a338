import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError } from './client'

afterEach(() => vi.unstubAllGlobals())

const answer = (status: number, body: string) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve(new Response(body, { status }))),
  )

describe('the client', () => {
  it('turns a problem into an ApiError with findings', async () => {
    answer(422, JSON.stringify({ title: 'No.', detail: 'Mend it.', findings: [{ code: 'basis.fy' }] }))
    const e = await api.projects().catch((x: unknown) => x)
    expect(e).toBeInstanceOf(ApiError)
    expect(e).toMatchObject({ status: 422, message: 'No.', detail: 'Mend it.', findings: [{ code: 'basis.fy' }] })
  })
  it('says that the server answered badly where the answer is no problem', async () => {
    answer(502, '<html>')
    await expect(api.projects()).rejects.toMatchObject({ status: 502 })
  })
  it('says that the server cannot be reached', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('failed'))),
    )
    await expect(api.projects()).rejects.toMatchObject({ status: 0, message: 'The server cannot be reached.' })
  })
  it('sends the version it saw with a change', async () => {
    answer(200, '{}')
    await api.rename('p1', 7, 'New')
    expect(vi.mocked(fetch).mock.calls[0]![1]!.headers).toMatchObject({ 'If-Match': '"7"' })
  })
})
