import '@testing-library/jest-dom/vitest'
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
