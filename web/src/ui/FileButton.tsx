import { Button } from 'antd'
import { useRef } from 'react'

/** A button that asks for a file of this computer. */
export function FileButton(p: { accept: string; label: string; onFile: (f: File) => void }) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button size="small" onClick={() => input.current?.click()}>
        {p.label}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept={p.accept}
        aria-label={p.label}
        onChange={(e) => {
          const file = e.target.files?.[0]
          // the same file may be chosen again
          e.target.value = ''
          if (file) p.onFile(file)
        }}
      />
    </>
  )
}
