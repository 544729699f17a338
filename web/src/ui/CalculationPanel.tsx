import type { Calculation } from '../api/client'

/** A calculation step by step: formula, numbers, result, clause. */
export function CalculationPanel({ calculation }: { calculation: Calculation }) {
  return (
    <div className="calculation" aria-label="Calculation">
      {calculation.steps.map((s, i) =>
        s.title ? (
          <h3 key={i}>
            {s.symbol}{' '}
            <span className="soft">
              {s.formula} {s.clause}
            </span>
          </h3>
        ) : (
          <div className="step" key={i}>
            <div>
              <i>{s.symbol}</i> <span>{s.formula}</span>
              <span className="clause">{s.clause}</span>
            </div>
            <div>
              <span className="soft">{s.numbers && `= ${s.numbers}`}</span>
              <b className={s.symbol.includes('/') && parseFloat(s.result) > 1 ? 'over-ink' : ''}>{s.result}</b>
            </div>
          </div>
        ),
      )}
    </div>
  )
}
