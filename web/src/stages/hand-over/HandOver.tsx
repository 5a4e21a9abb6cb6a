/** What goes out with the covers. */
export default function HandOver() {
  return <p>…</p>
}
