import '@testing-library/jest-dom/vitest'
import { Query } from '@tanstack/react-query'
import { cleanup, configure } from '@testing-library/react'
import { afterEach } from 'vitest'
import { forgetChanges } from '../api/changes'

// antd measures the page; jsdom has neither of these
window.matchMedia ??= (query: string) =>
  ({
    matches: false,
    media: query,
    addEventListener() {},
    removeEventListener() {},
    addListener() {},
    removeListener() {},
    onchange: null,
    dispatchEvent: () => false,
  }) as MediaQueryList
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}

// a page is found when it has come; a busy machine takes longer than the library's one second
configure({ asyncUtilTimeout: 15_000 })

afterEach(() => {
  cleanup()
  forgetChanges()
})

// KOLONNE_SLOW=60: answers come in any order, up to so many milliseconds late, which finds tests that lean on the order
const slow = Number((import.meta.env as Record<string, string | undefined>).KOLONNE_SLOW ?? 0)
if (slow > 0) {
  interface Asks {
    options: Asks['own']
    own: { queryFn?: (...a: unknown[]) => unknown; late?: boolean }
    fetch: (own?: Asks['own'], ...rest: unknown[]) => unknown
  }
  const queries = Query.prototype as unknown as Asks
  const fetch = queries.fetch
  queries.fetch = function (given, ...rest) {
    const own = given ?? this.options
    const { queryFn } = own
    const late = async (...a: unknown[]) => {
      const answer = await queryFn?.(...a)
      await new Promise((come) => setTimeout(come, Math.random() * slow))
      return answer
    }
    return fetch.call(this, own.late ? own : { ...own, queryFn: queryFn && late, late: true }, ...rest)
  }
}
