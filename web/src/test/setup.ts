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

// jsdom matches every rule of its own style sheet against every element that is asked for, which takes a third of the tests; the pages of
// the tests have no styles but those of the elements themselves, so that what hides and what breaks a line is told by these alone
const BLOCKS = new Set(
  (
    'ADDRESS ARTICLE ASIDE BLOCKQUOTE BODY DD DETAILS DIALOG DIV DL DT FIELDSET FIGCAPTION FIGURE FOOTER FORM H1 H2 H3 H4 H5 H6 HEADER HR HTML ' +
    'LEGEND LI MAIN NAV OL P PRE SECTION SUMMARY TABLE TBODY TD TFOOT TH THEAD TR UL'
  ).split(' '),
)
const NEVER = new Set(['HEAD', 'SCRIPT', 'STYLE', 'TEMPLATE', 'TITLE'])
function display(e: HTMLElement | SVGElement) {
  if (e.style.display) return e.style.display
  if (e.hasAttribute('hidden') || NEVER.has(e.tagName)) return 'none'
  return BLOCKS.has(e.tagName) ? 'block' : 'inline'
}
function visibility(e: Element | null): string {
  if (!e) return 'visible'
  return (e as HTMLElement).style.visibility || visibility(e.parentElement)
}
window.getComputedStyle = (element) => {
  const e = element as HTMLElement
  const told = (name: string) => {
    if (name === 'display') return display(e)
    return name === 'visibility' ? visibility(e) : e.style.getPropertyValue(name)
  }
  return new Proxy(e.style, {
    get: (style, name) => {
      if (name === 'getPropertyValue') return told
      if (name === 'display' || name === 'visibility') return told(name)
      return Reflect.get(style, name, style) as unknown
    },
  })
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
