import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, ApiError, type Job } from '../api/client'
import { take } from './exports'
import { followJob, lost } from './jobs'

class Stream {
  onerror: () => void = () => {}
  close = vi.fn()
  private listener: (e: MessageEvent) => void = () => {}
  addEventListener(_: string, l: (e: MessageEvent) => void) {
    this.listener = l
  }
  say(j: Job) {
    this.listener(new MessageEvent('job', { data: JSON.stringify(j) }))
  }
  breaks() {
    this.onerror()
  }
}

const running: Job = {
  id: 'j',
  kind: 'export',
  phase: 'running',
  doing: 'writing',
  done: 1,
  total: 2,
  findings: [],
  result: null,
}
const done: Job = { ...running, phase: 'done', result: 'j' }
let streams: Stream[] = []
const stream = (i: number) => streams[i] as Stream

beforeEach(() => {
  streams = []
  vi.useFakeTimers()
  vi.spyOn(api, 'jobEvents').mockImplementation(() => {
    streams.push(new Stream())
    return streams[streams.length - 1] as unknown as EventSource
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})

test('a job is followed over a server that is away for a while', async () => {
  const told: Job[] = []
  const ask = vi
    .spyOn(api, 'job')
    .mockRejectedValueOnce(new ApiError(502, '', ''))
    .mockResolvedValueOnce(running)
  followJob('j', (j) => told.push(j))
  stream(0).say(running)
  stream(0).breaks()
  await vi.advanceTimersByTimeAsync(2000)
  expect(ask).toHaveBeenCalledTimes(1)
  await vi.advanceTimersByTimeAsync(2000)
  expect(streams).toHaveLength(2)
  expect(stream(0).close).toHaveBeenCalled()
  stream(1).say(done)
  expect(stream(1).close).toHaveBeenCalled()
  expect(told.map((j) => j.phase)).toEqual(['running', 'running', 'done'])
})

test('a job that no server knows any more has failed', async () => {
  const told: Job[] = []
  vi.spyOn(api, 'job').mockRejectedValue(new ApiError(404, '', ''))
  followJob('j', (j) => told.push(j))
  stream(0).breaks()
  await vi.advanceTimersByTimeAsync(2000)
  expect(told).toHaveLength(1)
  expect(lost(told[0] as Job)).toBe(true)
})

test('nobody asks any more once one has stopped following', async () => {
  const ask = vi.spyOn(api, 'job').mockRejectedValue(new ApiError(503, '', ''))
  const stop = followJob('j', () => {})
  stream(0).breaks()
  await vi.advanceTimersByTimeAsync(2000)
  stop()
  await vi.advanceTimersByTimeAsync(10_000)
  expect(ask).toHaveBeenCalledTimes(1)
})

test('a file whose server ended is asked for once more, and no oftener', async () => {
  const again = vi.fn().mockResolvedValue({ ...running, id: 'k' })
  const end: Job = { ...running, phase: 'failed', findings: [{ ...finding, code: 'server.lost' }] }
  take('key', running, again)
  stream(0).say(end)
  await vi.advanceTimersByTimeAsync(0)
  expect(again).toHaveBeenCalledTimes(1)
  expect(api.jobEvents).toHaveBeenLastCalledWith('k')
  stream(1).say({ ...end, id: 'k' })
  await vi.advanceTimersByTimeAsync(0)
  expect(again).toHaveBeenCalledTimes(1)
})

const finding = { severity: 'fails', code: '', where: '', what: '', mend: '', clause: '', combination: '' }
