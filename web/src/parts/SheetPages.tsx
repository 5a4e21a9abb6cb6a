import type { SheetView } from '../api/client'
import s from './sheet-pages.module.css'

/** A sheet as it is printed, page by page; its words are there for whoever does not see it. */
export function SheetPages({ sheet }: { sheet: SheetView }) {
  return (
    <div className={s.pages} role="group" aria-label={sheet.title}>
      {sheet.pages.map((page, at) => (
        <figure key={at}>
          <img src={page.picture} alt="" />
          <figcaption className="unseen">
            {page.said.map((line, n) => (
              <p key={n}>{line}</p>
            ))}
          </figcaption>
        </figure>
      ))}
    </div>
  )
}
