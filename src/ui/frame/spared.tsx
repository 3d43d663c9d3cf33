'use client'

import { Component, type ReactNode } from 'react'

/** What goes wrong in a part of a page costs that part and not the page; what is beside it stays. */
export class Spared extends Component<
  { readonly children: ReactNode },
  { readonly isBroken: boolean }
> {
  override state = { isBroken: false }

  static getDerivedStateFromError(): { readonly isBroken: boolean } {
    return { isBroken: true }
  }

  override render(): ReactNode {
    return this.state.isBroken ? null : this.props.children
  }
}
