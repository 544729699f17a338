import { Button } from 'antd'
import { Component, type ReactNode } from 'react'

/** Catches what goes wrong while a page is drawn: the rest of the application stays, and another page clears it. */
export class Boundary extends Component<{ at: string; children: ReactNode }, { error?: Error; at: string }> {
  state: { error?: Error; at: string } = { at: this.props.at }

  static getDerivedStateFromError(error: Error) {
    return { error }
  }

  static getDerivedStateFromProps(p: { at: string }, s: { at: string }) {
    return p.at === s.at ? null : { at: p.at, error: undefined }
  }

  render() {
    const { error } = this.state
    if (!error) return this.props.children
    return (
      <div className="notice" role="alert">
        <h2>This page cannot be drawn.</h2>
        <p className="soft">
          Nothing that was stored is lost. The words of the error, for whoever mends it: <i>{error.message}</i>
        </p>
        <Button type="primary" onClick={() => this.setState({ error: undefined })}>
          Draw it again
        </Button>
      </div>
    )
  }
}
