import type { Calculation } from '../api/client'
import { Formula } from './Formula'

type Step = Calculation['steps'][number]
type Part = NonNullable<Step['formula']>

/** Behind an equals sign where it is a formula, as a remark where it is words. */
function Side({ of, soft }: { of: Part; soft?: boolean }) {
  return (
    <span className={soft || !of.equal ? 'soft' : undefined}>
      {of.equal && <span className="equals">=</span>}
      <Formula of={of.set} text={of.text} />
    </span>
  )
}

function Line({ step }: { step: Step }) {
  const over = step.symbol.includes('/') && parseFloat(step.result) > 1
  return (
    <div className="step">
      <div className="sides">
        {step.set && <Formula of={step.set.set} text={step.symbol} />} {step.formula && <Side of={step.formula} />}{' '}
        {step.numbers && <Side of={step.numbers} soft />}
        <span className="result">
          <span className="equals">=</span>
          <b className={over ? 'over-ink' : ''}>{step.result}</b>
        </span>
      </div>
      <span className="clause">{step.clause}</span>
    </div>
  )
}

/** A calculation step by step, set as mathematics: symbol, formula, numbers, result, and the clause at the margin. */
export function CalculationPanel({ calculation }: { calculation: Calculation }) {
  return (
    <div className="calculation" aria-label="Calculation">
      {calculation.steps.map((s, i) =>
        s.title ? (
          <h3 key={i}>
            {s.symbol}{' '}
            <span className="soft">
              {s.words} {s.clause}
            </span>
          </h3>
        ) : (
          <Line key={i} step={s} />
        ),
      )}
    </div>
  )
}
