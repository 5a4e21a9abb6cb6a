import type { ReactNode } from 'react'
import s from './ClothPictures.module.css'

const motif = (x: number, y: number) => <path key={`${x} ${y}`} d={`M${x} ${y + 3}v-6m-2 2l2 -2l2 2`} />

/** How a repeat matches across: straight, or every second column half a repeat higher. */
export const RepeatPicture = ({ half }: { half: boolean }) => (
  <svg className={s.picture} viewBox="0 0 36 30" aria-hidden>
    <rect x={1} y={1} width={34} height={28} />
    {[7, 18, 29].map((x, column) => [8, 22].map((y) => motif(x, half && column === 1 ? y - 7 : y)))}
  </svg>
)

/** Which ways up pieces may lie. */
export const WayPicture = ({ oneWay }: { oneWay: boolean }) => (
  <svg className={s.picture} viewBox="0 0 36 30" aria-hidden>
    <rect x={1} y={1} width={34} height={28} />
    <path d="M11 23v-16m-4 4l4 -4l4 4" />
    <path d={oneWay ? 'M25 23v-16m-4 4l4 -4l4 4' : 'M25 7v16m-4 -4l4 4l4 -4'} />
  </svg>
)

/** How the cloth is spread: in one layer, folded selvedge to selvedge, or torn across into lengths. */
export const SpreadPicture = ({ spread }: { spread: 'single' | 'folded' | 'torn' }) => (
  <svg className={s.picture} viewBox="0 0 36 30" aria-hidden>
    {spread === 'single' && <rect x={2} y={5} width={32} height={20} />}
    {spread === 'folded' && <path d="M4 20h26q4 0 4 -3.500t-4 -3.500h-24M4 20l-2 5h28M6 13l-2 7" />}
    {spread === 'torn' && <path d="M2 5h13l-2 5l3 4l-3 5l2 6h-13zM34 5h-14l-2 5l3 4l-3 5l2 6h14z" />}
  </svg>
)

/** A word with its picture. */
export const Pictured = ({ picture, word }: { picture: ReactNode; word: string }) => (
  <span className={s.pictured}>
    {picture} {word}
  </span>
)
