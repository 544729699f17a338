import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { change, changesWaiting, forgetChanges } from './changes'
import { api, ApiError, type Project, type State } from './client'
import { WINDOW } from './person'

const row = (version: number): Project => ({ id: 'p', name: '', createdAt: '', changedAt: '', version })
const away = () => new ApiError(0, 'The server cannot be reached.', '')

beforeEach(() => vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
  forgetChanges()
})

describe('changes of a project', () => {
  it('go one after another, each on the version that the one before made', async () => {
    const seen: number[] = []
    let server = 5
    const send = (v: number) => {
      seen.push(v)
      return v === server ? Promise.resolve(row(++server)) : Promise.reject(new ApiError(412, 'Somebody else', ''))
    }
    await Promise.all([change('p', 5, send), change('p', 5, send), change('p', 5, send)])
    expect(seen).toEqual([5, 6, 7])
  })

  it('do not step over what somebody else changed', async () => {
    // the page saw 5; ours made 6; another made 7, which the page has not seen
    await change('p', 5, () => Promise.resolve(row(6)))
    const send = vi.fn((v: number) => (v === 7 ? Promise.resolve(row(8)) : Promise.reject(new ApiError(412, 'x', ''))))
    await expect(change('p', 5, send)).rejects.toThrow()
    expect(send).toHaveBeenCalledWith(6)
  })

  it('that were put on top of others’ do not count as seen', async () => {
    await change('p', 5, () => Promise.resolve(row(9)))
    const send = vi.fn((v: number) => Promise.resolve(row(v + 1)))
    await change('p', 5, send)
    expect(send).toHaveBeenCalledWith(5)
  })

  it('wait in order while the server is away', async () => {
    let up = false
    const sent: string[] = []
    const send = (what: string) => (v: number) => {
      if (!up) return Promise.reject(away())
      sent.push(what)
      return Promise.resolve(row(v + 1))
    }
    const both = Promise.all([change('p', 5, send('a')), change('p', 5, send('b'))])
    await vi.advanceTimersByTimeAsync(1200)
    expect(changesWaiting('p')).toBe(1)
    expect(sent).toEqual([])
    up = true
    await vi.advanceTimersByTimeAsync(1200)
    expect((await both).map((r) => r.version)).toEqual([6, 7])
    expect(sent).toEqual(['a', 'b'])
    expect(changesWaiting('p')).toBe(0)
  })

  it('are not made twice where only the answer was lost', async () => {
    const answers = [away(), new ApiError(412, 'Somebody else', '')]
    const last = { version: 6, person: '', window: WINDOW, summary: '', effects: [] }
    vi.spyOn(api, 'state').mockResolvedValue({ last } as unknown as State)
    vi.spyOn(api, 'project').mockResolvedValue(row(6))
    const made = change<Project>('p', 5, () => Promise.reject(answers.shift()!))
    await vi.advanceTimersByTimeAsync(600)
    expect((await made).version).toBe(6)
  })

  it('that are refused do not hold up the next', async () => {
    const refused = change('p', 5, () => Promise.reject(new ApiError(422, 'This cannot be done.', '')))
    await expect(refused).rejects.toThrow('This cannot be done.')
    expect((await change('p', 5, (v) => Promise.resolve(row(v + 1)))).version).toBe(6)
  })
})
