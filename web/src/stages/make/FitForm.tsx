import { Button, Input, Radio, Select } from 'antd'
import { useState } from 'react'
import { newId, unitWord, type Bench, type JobDocument } from '../../api/client'
import { useDocument, useEdit, useUnit } from '../../job/scene'
import { useLearnt } from '../../job/useLearnt'
import { Folded } from '../../parts/Folded'
import { logFit } from './logging'
import s from './make.module.css'

type Fit = JobDocument['making']['fits'][number]

const changes = {
  'let-out': 'Let out',
  'taken-in': 'Taken in',
  found: 'Found out',
} as const

/** The log of fits of an item: what was changed, by how much and why, and what should have been entered. */
export function FitForm({ turn, asked }: { turn: Bench['turns'][number]; asked: boolean }) {
  const edit = useEdit()
  const unit = useUnit()
  const { making } = useDocument()
  const subjects = useLearnt(turn.item)?.subjects ?? []
  const [where, setWhere] = useState('')
  const [change, setChange] = useState<Fit['change']>('let-out')
  const [by, setBy] = useState('')
  const [why, setWhy] = useState('')
  const [subject, setSubject] = useState('')
  const [found, setFound] = useState('')
  const own = making.fits.filter((fit) => fit.item === turn.item)
  const about = subjects.find((each) => each.field === subject)
  const log = () => {
    edit(
      '',
      (document) =>
        logFit(document, {
          id: newId(),
          item: turn.item,
          where: where.trim(),
          change,
          by: { typed: by.trim(), unit },
          why: why.trim(),
          subject: found.trim() ? subject : '',
          found: subject && found.trim() ? { typed: found.trim(), unit } : null,
        }),
      'It is in the log of fits.',
    )
    for (const clear of [setWhere, setBy, setWhy, setFound]) clear('')
  }
  return (
    <Folded
      className={s.noting}
      summary={own.length > 0 ? `Log of fits · ${own.length}` : 'Log a change of fit'}
      asked={asked}
    >
      <ul className={s.fits}>
        {own.map((fit) => (
          <li key={fit.id}>
            {[fit.where, changes[fit.change].toLowerCase(), fit.by.typed && `${fit.by.typed} ${unitWord(fit.by.unit)}`]
              .filter(Boolean)
              .join(', ')}
            {fit.why && `: ${fit.why}`}{' '}
            <Button
              onClick={() =>
                edit(
                  '',
                  (document) => void (document.making.fits = document.making.fits.filter((each) => each.id !== fit.id)),
                  'It is out of the log.',
                )
              }
            >
              Take it out
            </Button>
          </li>
        ))}
      </ul>
      <form
        className={s.fit}
        onSubmit={(event) => {
          event.preventDefault()
          if (where.trim() || found.trim()) log()
        }}
      >
        <Input
          aria-label="Where it was changed"
          placeholder="Where: left side, front corners"
          value={where}
          maxLength={400}
          onChange={(event) => setWhere(event.currentTarget.value)}
        />
        <Radio.Group
          aria-label="How it was changed"
          optionType="button"
          value={change}
          onChange={(event) => setChange(event.target.value as Fit['change'])}
          options={Object.entries(changes).map(([value, label]) => ({ value, label }))}
        />
        <Input
          aria-label="By how much"
          placeholder={`By how much, ${unitWord(unit)}`}
          value={by}
          maxLength={60}
          onChange={(event) => setBy(event.currentTarget.value)}
        />
        <Input
          aria-label="Why"
          placeholder="Why"
          value={why}
          maxLength={400}
          onChange={(event) => setWhy(event.currentTarget.value)}
        />
        {subjects.length > 0 && (
          <Select
            aria-label="What should have been entered otherwise"
            allowClear
            placeholder="Nothing to learn for next time"
            value={subject || undefined}
            onChange={(value: string | undefined) => setSubject(value ?? '')}
            options={subjects.map((each) => ({ value: each.field, label: each.name }))}
          />
        )}
        {about && (
          <Input
            aria-label="It should have been"
            placeholder={`It was ${about.now.typed || 'not entered'}; it should have been`}
            value={found}
            maxLength={60}
            onChange={(event) => setFound(event.currentTarget.value)}
          />
        )}
        <Button htmlType="submit">Log it</Button>
      </form>
    </Folded>
  )
}
