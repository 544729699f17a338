import { Spin } from 'antd'

export function Loading({ words }: { words: string }) {
  return (
    <div className="notice" aria-busy="true">
      <Spin size="small" /> <span className="soft">{words}…</span>
    </div>
  )
}
