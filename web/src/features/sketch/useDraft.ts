import { useEffect, useState } from 'react'

interface Kept<T> {
  now: T
  past: T[]
  future: T[]
}

const MOST = 100

/** A draft that is kept in this browser as it is typed, with undo and redo by Ctrl Z and Ctrl Shift Z. */
export function useDraft<T>(key: string, initial: T) {
  const [kept, setKept] = useState<Kept<T>>(() => ({ now: stored(key) ?? initial, past: [], future: [] }))
  useEffect(() => localStorage.setItem(key, JSON.stringify(kept.now)), [key, kept.now])
  const set = (next: T) =>
    setKept((k) =>
      JSON.stringify(next) === JSON.stringify(k.now)
        ? k
        : { now: next, past: [...k.past.slice(-MOST), k.now], future: [] },
    )
  const undo = () =>
    setKept((k) =>
      k.past.length === 0 ? k : { now: k.past.at(-1)!, past: k.past.slice(0, -1), future: [k.now, ...k.future] },
    )
  const redo = () =>
    setKept((k) =>
      k.future.length === 0 ? k : { now: k.future[0]!, past: [...k.past, k.now], future: k.future.slice(1) },
    )
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return
      e.preventDefault()
      if (e.shiftKey) redo()
      else undo()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
  return {
    draft: kept.now,
    set,
    undo,
    redo,
    canUndo: kept.past.length > 0,
    canRedo: kept.future.length > 0,
    reset: () => set(initial),
  }
}

function stored<T>(key: string): T | undefined {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? undefined
  } catch {
    return undefined
  }
}
