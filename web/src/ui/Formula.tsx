import type { Maths } from '../api/client'

/** Whether brackets and roots about it have to grow. */
function tall(m: Maths): boolean {
  return m.kind === 'fraction' || m.parts.some(tall)
}

function blank(m: Maths | undefined) {
  return !m || (m.kind === 'row' && m.parts.length === 0)
}

function Script({ parts }: { parts: Maths[] }) {
  const [base, below, above] = parts.map((p, i) => (i > 0 && blank(p) ? null : <Part key={i} of={p} />))
  if (below && above) {
    return (
      <>
        {base}
        <span className="both">
          <span>{above}</span>
          <span>{below}</span>
        </span>
      </>
    )
  }
  return (
    <>
      {base}
      {below ? <sub>{below}</sub> : <sup>{above}</sup>}
    </>
  )
}

/** Two factors stand apart by a thin space, as they do on paper; words by a wider one. */
function Row({ parts }: { parts: Maths[] }) {
  return parts.map((p, i) => {
    const before = parts[i - 1]
    const beside = before && p.kind !== 'sign' && before.kind !== 'sign'
    const words = beside && (p.kind === 'words' || before.kind === 'words')
    return (
      <span key={i} className={words ? 'apart' : beside ? 'beside' : undefined}>
        <Part of={p} />
      </span>
    )
  })
}

function Bracketed({ of }: { of: Maths }) {
  const high = tall(of)
  return (
    <span className={high ? 'bracketed' : undefined}>
      {high ? <span className="open" /> : '('}
      <span>
        <Part of={of} />
      </span>
      {high ? <span className="close" /> : ')'}
    </span>
  )
}

function Root({ of }: { of: Maths }) {
  return (
    <span className="root">
      <svg viewBox="0 0 10 20" preserveAspectRatio="none">
        <path d="M0.5 12 L3 10.5 L6 19 L10 0.5" />
      </svg>
      <span>
        <Part of={of} />
      </span>
    </span>
  )
}

function Sign({ text }: { text: string }) {
  const close = text === '/' || text === '′' || text === ',' || text === ';'
  return <span className={close ? 'sign tight' : 'sign'}>{text === ',' ? ', ' : text}</span>
}

function Part({ of }: { of: Maths }) {
  const [first, second] = of.parts
  switch (of.kind) {
    case 'letter':
      return <i>{of.text}</i>
    case 'sign':
      return <Sign text={of.text} />
    case 'script':
      return <Script parts={of.parts} />
    case 'fraction':
      return (
        <span className="fraction">
          <span>{first && <Part of={first} />}</span>
          <span>{second && <Part of={second} />}</span>
        </span>
      )
    case 'root':
      return first && <Root of={first} />
    case 'bracketed':
      return first && <Bracketed of={first} />
    case 'row':
      return <Row parts={of.parts} />
    default:
      return of.text
  }
}

/** A formula with fractions, indices and roots; read aloud as it is written in a line. */
export function Formula({ of, text }: { of: Maths; text: string }) {
  return (
    <span className="formula" role="math" aria-label={text}>
      <Part of={of} />
    </span>
  )
}
