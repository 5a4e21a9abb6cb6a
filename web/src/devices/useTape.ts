import { useEffect, useRef, useState } from 'react'

/** What a tape says, as the server passes it on. */
interface Says {
  reading: string
  trouble: string
  battery: number
}

export interface TapeNow {
  /** Whether it is heard, or asked for again after it fell silent. */
  is: 'off' | 'heard' | 'silent'
  battery: number
  /** The last reading and what became of it, or what is the matter. */
  told: string
}

const again = 2000
const off: TapeNow = { is: 'off', battery: 100, told: '' }

/** Types a reading into the field that waits, as a hand would, and goes on with Enter; false where none waits. */
export function typeInto(field: Element | null, reading: string): boolean {
  if (!(field instanceof HTMLInputElement) || field.readOnly || field.dataset['field'] === undefined) return false
  // The field's own setter, past the one that a library puts before it: then its change is seen as typed.
  const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')
  own?.set?.call(field, reading)
  field.dispatchEvent(new Event('input', { bubbles: true }))
  field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }))
  return true
}

/** Listens to the digital tape while it is used; when it falls silent it is asked again and again, and nothing waits for it. */
export function useTape(used: boolean): TapeNow {
  const [now, setNow] = useState<TapeNow>(off)
  const take = useRef((says: Says) => {
    const { reading, trouble, battery } = says
    const done = reading !== '' && typeInto(document.activeElement, reading)
    setNow({
      is: 'heard',
      battery,
      told:
        trouble !== ''
          ? `The tape is ${trouble}.`
          : reading === ''
            ? ''
            : done
              ? `Read ${reading}.`
              : `Read ${reading}, and no field waits: tap the size that it is.`,
    })
  })
  useEffect(() => {
    if (!used) return
    let [source, timer] = [undefined as EventSource | undefined, 0]
    const listen = () => {
      source = new EventSource('/api/devices/tape/events')
      source.addEventListener('tape', ({ data }) => take.current(JSON.parse(String(data)) as Says))
      source.onerror = () => {
        source?.close()
        setNow((old) => ({ ...old, is: 'silent', told: '' }))
        timer = window.setTimeout(listen, again)
      }
    }
    listen()
    return () => {
      source?.close()
      window.clearTimeout(timer)
      setNow(off)
    }
  }, [used])
  return used ? now : off
}
