import { memo } from 'react'
import type { Piece } from '../../api/client'
import s from './pieces.module.css'

/** The figures by which the piece is chalked on cloth: corners from the squared edge, sides and curves, diagonals, marks. */
export const SettingOut = memo(function SettingOut({ piece }: { piece: Piece }) {
  const { corners, sides, diagonals, marks, lines, expected, working } = piece.settingOut
  // Only what a square cannot draw by itself is told side by side.
  const curves = sides.filter((side) => side.curve)
  if (corners.length === 0 && marks.length === 0 && lines.length === 0) return null
  return (
    <section className={s.settingOut} aria-label="Setting out">
      <h2>
        {expected ? 'To chalk the line to expect' : 'To draw it on cloth'}{' '}
        <small>
          {expected
            ? 'on the rough rectangle, from its squared edge; opened on the furniture, never cut beforehand'
            : 'cut line, from the squared edge'}
        </small>
      </h2>
      <div>
        {corners.length > 0 && (
          <table>
            <caption>Corners: along the lower edge from its left end, then across</caption>
            <thead>
              <tr>
                <th>Corner</th>
                <th>Along</th>
                <th>Across</th>
                <th>To</th>
                <th>Side</th>
              </tr>
            </thead>
            <tbody>
              {corners.map((corner, at) => (
                <tr key={corner.name}>
                  <th scope="row">
                    <b>{corner.name}</b>
                  </th>
                  <td className="cut">{corner.along.text}</td>
                  <td className="cut">{corner.across.text}</td>
                  <td>{sides[at]?.to}</td>
                  <td className="cut">{sides[at]?.length.text}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {curves.length > 0 && (
          <table>
            <caption>Curves, with points at even steps</caption>
            <thead>
              <tr>
                <th>From, to</th>
                <th>Radius</th>
                <th>Chord, rise</th>
                <th>Points on it: along, across</th>
              </tr>
            </thead>
            <tbody>
              {curves.map(({ name, from, to, curve }) => (
                <tr key={name}>
                  <th scope="row">
                    <b>
                      {from} to {to}
                    </b>{' '}
                    {curve?.outward ? 'bulges out' : 'hollow'}
                  </th>
                  <td>{curve?.radius.text}</td>
                  <td>
                    {curve?.chord.text}, {curve?.rise.text}
                  </td>
                  <td>
                    {curve?.on.map((point) => (
                      <span key={point.name}>
                        {point.along.text}, {point.across.text}
                      </span>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {diagonals.length > 0 && (
          <table>
            <caption>Check</caption>
            <tbody>
              {diagonals.map((line) => (
                <tr key={line.from}>
                  <th scope="row">
                    <b>
                      {line.from} to {line.to}
                    </b>{' '}
                    straight across
                  </th>
                  <td>{line.length.text}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {marks.length > 0 && (
          <table>
            <caption>Marks, along the {expected ? 'line to expect' : 'cut edge'}</caption>
            <tbody>
              {marks.map((mark, at) => (
                <tr key={at}>
                  <th scope="row">{mark.what}</th>
                  <td className="cut">{mark.along.ticks > 0 ? mark.along.text : 'there'}</td>
                  <td>
                    {mark.along.ticks > 0 ? 'from' : 'at'} corner <b>{mark.from}</b>, {mark.side}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {lines.length > 0 && (
          <table>
            <caption>Lines inside: along, across</caption>
            <tbody>
              {lines.map((line, at) => (
                <tr key={at}>
                  <th scope="row">{line.kind}</th>
                  <td>
                    {line.from.along.text}, {line.from.across.text}
                  </td>
                  <td>
                    to {line.to.along.text}, {line.to.across.text}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      {working.length > 0 && (
        <details className={s.how}>
          <summary>How these figures come about</summary>
          <ul>
            {working.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
    </section>
  )
})
