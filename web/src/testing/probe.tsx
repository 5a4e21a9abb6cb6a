import { act, useEffect, type ReactNode } from 'react'
import { createRoot } from 'react-dom/client'

/** Uses a hook on a page of its own: shown with what it is given, `around` it what it needs; `now` is what it gave when last drawn. */
export function probe<Given, Gives>(
  hook: (given: Given) => Gives,
  around: (page: ReactNode) => ReactNode = (page) => page,
) {
  Reflect.set(globalThis, 'IS_REACT_ACT_ENVIRONMENT', true)
  const root = createRoot(document.createElement('div'))
  let gave: Gives | undefined
  const seen = (gives: Gives) => {
    gave = gives
  }
  function Probe({ given }: { given: Given }) {
    const gives = hook(given)
    useEffect(() => seen(gives))
    return null
  }
  return {
    show: (given: Given) => act(() => root.render(around(<Probe given={given} />))),
    now: () => gave as Gives,
    gone: () => act(() => root.unmount()),
  }
}
