import { Button } from 'antd'
import { Link } from 'react-router'
import { ApiError, type Finding } from '../api/client'
import { FindingList } from './FindingList'

/** An error with what, where and how to mend it. */
export function ErrorView(p: { error: Error; onRetry?: () => void; home?: boolean }) {
  const detail = p.error instanceof ApiError ? p.error.detail : ''
  const findings: Finding[] = p.error instanceof ApiError ? p.error.findings : []
  return (
    <div className="notice" role="alert">
      <h2>{p.error.message}</h2>
      <p className="soft">{detail}</p>
      <FindingList findings={findings} />
      <p>
        {p.onRetry && (
          <Button type="primary" onClick={p.onRetry}>
            Try again
          </Button>
        )}{' '}
        {p.home && <Link to="/">All projects</Link>}
      </p>
    </div>
  )
}
