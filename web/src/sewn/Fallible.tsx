import { Component, type ReactNode } from 'react'

/** Shows something else where what it holds cannot be drawn: a graphics driver that gives up, a part that does not load. */
export class Fallible extends Component<{ instead: ReactNode; children: ReactNode }, { failed: boolean }> {
  override state = { failed: false }

  static getDerivedStateFromError() {
    return { failed: true }
  }

  override render() {
    return this.state.failed ? this.props.instead : this.props.children
  }
}
