import { Print, sheetPaper } from '../parts/Print'
import { useScene, useSceneStore } from './scene'

interface Props {
  sheet: string
  query?: Record<string, string>
  children: string
}

const longest = 5_000
const step = 50

/** A sheet of the open job: what was typed last is saved first, so that it is on it. */
export function PrintSheet({ sheet, query = {}, children }: Props) {
  const id = useScene((scene) => scene.id)
  const name = useScene((scene) => scene.job.document.name)
  const store = useSceneStore()
  const paper = sheetPaper()
  const asked = new URLSearchParams({ ...(paper && { paper }), ...query }).toString()
  const isDone = () => store.get().job.saving.is === 'saved'
  const done = async () => {
    for (let waited = 0; !isDone() && waited < longest; waited += step) await new Promise((go) => setTimeout(go, step))
    return isDone()
  }
  return (
    <Print
      name={`${name}: ${sheet.replaceAll('-', ' ')}`}
      href={`/api/jobs/${id}/sheets/${sheet}.pdf${asked === '' ? '' : `?${asked}`}`}
      saving={{ isDone, done }}
    >
      {children}
    </Print>
  )
}
