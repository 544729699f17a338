import { ConfigProvider } from 'antd'
import type { ReactNode } from 'react'

/** What can be seen and, while it is locked, not changed: every field and button in it is off. */
export function Locked({ when, children }: { when: boolean; children: ReactNode }) {
  if (!when) return children
  return (
    <ConfigProvider componentDisabled>
      <fieldset className="locked" disabled>
        {children}
      </fieldset>
    </ConfigProvider>
  )
}
