'use client'

import { Component, type ReactNode } from 'react'
import { tellFault } from './tell-fault'

interface Props {
  readonly children: ReactNode
}

/** Catches what fails while it is drawn where it happens: the rest of the page goes on. */
export class Caught extends Component<Props, { readonly failed: boolean }> {
  override state = { failed: false }

  static getDerivedStateFromError(): { readonly failed: boolean } {
    return { failed: true }
  }

  override componentDidCatch(error: unknown): void {
    tellFault('part', error)
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children
    return (
      <div role="alert" className="flex flex-wrap items-center gap-3 p-3 text-small">
        <p>
          Something went wrong in this part. What you saved is safe, and the rest of the page works.
        </p>
        <button type="button" className="key" onClick={() => this.setState({ failed: false })}>
          Show it again
        </button>
      </div>
    )
  }
}
