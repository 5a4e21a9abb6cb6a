import { Button, Upload } from 'antd'
import { useState } from 'react'
import { Refused, type Cloth } from '../../api/client'
import { sendPhoto } from '../../api/sendPhoto'
import type { ClothGroup } from '../../job/ClothEntry'
import { useScene } from '../../job/scene'
import { ClothPhoto } from './ClothPhoto'
import s from './lay.module.css'

const prints = ['plain', 'stripe', 'check', 'herringbone', 'spots', 'sprig'] as const

/** What the cloth shows, drawn in its colours or as a photo of itself. */
export function LookFields({ cloth, planned, edit }: ClothGroup) {
  const job = useScene((scene) => scene.id)
  const [straightening, setStraightening] = useState(false)
  const [problem, setProblem] = useState('')
  const look = planned?.look
  const second = cloth.second || (look?.second ?? cloth.tone)
  const tile = (print: Cloth['print']) =>
    `/api/cloth-tile?tone=${cloth.tone.slice(1)}&second=${second.slice(1)}&print=${print}&across=5000&along=5000&motifAcross=2500&motifAlong=2500`
  const add = async (file: File) => {
    setProblem('')
    try {
      const { width, height } = await createImageBitmap(file)
      const photo = await sendPhoto(job, cloth.id, file)
      const [left, top, right, bottom] = [width / 10, height / 10, width * 0.9, height * 0.9].map(Math.round) as [
        number,
        number,
        number,
        number,
      ]
      edit({
        picture: {
          photo,
          corners: [left, top, right, top, right, bottom, left, bottom],
          across: null,
          along: null,
          ruler: [],
          rulerLength: null,
        },
      })
      setStraightening(true)
    } catch (error) {
      setProblem(
        error instanceof Refused
          ? error.message
          : error instanceof DOMException
            ? 'This is no picture that can be read here: take a JPEG, PNG or WebP.'
            : 'The picture did not reach the workroom. Nothing was changed: try again.',
      )
    }
  }
  return (
    <>
      <div role="group" aria-label={`What ${cloth.name} shows`} className={s.prints}>
        {prints.map((print) => (
          <button
            key={print}
            type="button"
            aria-pressed={!cloth.picture && look?.print === print}
            onClick={() => edit({ print, picture: null })}
          >
            <img src={tile(print)} alt="" width={64} height={64} />
            {print}
          </button>
        ))}
      </div>
      <div className="cloth-fields">
        <label className="swatch">
          <input
            type="color"
            aria-label={`Second colour of ${cloth.name}`}
            value={second}
            onChange={(event) => edit({ second: event.currentTarget.value })}
          />
        </label>
        <Upload
          accept="image/jpeg,image/png,image/webp"
          showUploadList={false}
          customRequest={({ file }) => void add(file as File)}
        >
          <Button>{cloth.picture ? 'Another photo of it' : 'Show a photo of it'}</Button>
        </Upload>
        {cloth.picture && <Button onClick={() => setStraightening(true)}>Straighten the photo</Button>}
        {cloth.picture && <Button onClick={() => edit({ picture: null })}>Draw it instead</Button>}
      </div>
      {look?.usualSize && <p className="note">Drawn as large as such cloth usually is, until its repeat is typed.</p>}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {planned?.problems
        .filter((each) => each.field.startsWith(`cloths.${cloth.id}.picture`))
        .map((each) => (
          <p key={each.field} className="problem" role="alert">
            {each.reason}. <span>For example {each.example}.</span>
          </p>
        ))}
      {straightening && cloth.picture && (
        <ClothPhoto
          cloth={cloth}
          picture={cloth.picture}
          planned={planned}
          edit={edit}
          close={() => setStraightening(false)}
        />
      )}
    </>
  )
}
