import { Typography } from 'antd'

/** Something secret that is shown this once. */
export function ToldOnce({ words, secret }: { words: string; secret: string }) {
  return (
    <p role="status" className="told-once">
      {words}, shown this once:{' '}
      <Typography.Text copyable={{ text: secret, tooltips: ['Copy', 'Copied'] }} code>
        {secret}
      </Typography.Text>
    </p>
  )
}
