import { useQueryClient } from '@tanstack/react-query'
import type { Mode } from '../../app/theme'
import { TitleLine } from '../../app/TitleLine'
import { PasswordForm } from './PasswordForm'

/** A password that was given is known to who gave it: it is changed before anything else. */
export function FirstPassword({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const queries = useQueryClient()
  return (
    <div className="front">
      <TitleLine mode={mode} onMode={onMode} />
      <main className="front-page narrow">
        <h1>Choose your own password</h1>
        <p className="soft">The one that you signed in with was given to you, so somebody else has seen it.</p>
        <PasswordForm onDone={() => void queries.invalidateQueries({ queryKey: ['session'] })} />
      </main>
    </div>
  )
}
