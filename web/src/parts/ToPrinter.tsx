import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api } from '../api/client'
import { notSaved, type Saving } from './beforePrint'
import { told } from './told'

/** How the printer stands; asked for now and then. */
export const usePrinter = (every: number | false = false) =>
  useQuery({
    queryKey: ['printer'],
    queryFn: () => answer(api.GET('/api/devices/printer')),
    staleTime: 10_000,
    refetchInterval: every,
  }).data

interface Props {
  href: string
  name: string
  saving?: Saving | undefined
}

/** Sends the very file that is opened to the printer, where there is one; nothing waits for it. */
export function ToPrinter({ href, name, saving }: Props) {
  const queries = useQueryClient()
  const printer = usePrinter()
  const [sent, setSent] = useState('')
  const [problem, setProblem] = useState('')
  if (!printer?.isOn && problem === '') return null
  const send = async () => {
    setSent('')
    try {
      if (saving && !(await saving.done())) {
        setProblem(notSaved)
        return
      }
      const sheet = await fetch(href)
      if (!sheet.ok) {
        setProblem('There is no sheet to print: what it would show is in doubt.')
        return
      }
      const state = await answer(
        api.POST('/api/devices/printer/files', {
          params: { query: { name } },
          body: (await sheet.blob()) as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/pdf' },
        }),
      )
      queries.setQueryData(['printer'], state)
      const now = state.files[0]
      setProblem('')
      setSent(
        now && now.waitsFor !== ''
          ? `${now.printed} of ${now.pages} ${now.pages === 1 ? 'page is' : 'pages are'} printed; the printer is out of ${now.waitsFor}.`
          : 'It is printed.',
      )
    } catch (error) {
      setProblem(told(error))
    }
  }
  return (
    <>
      <Button onClick={() => void send()}>To the printer</Button>
      {sent && (
        <span role="status">
          {sent} <Link to="/devices">Look</Link>
        </span>
      )}
      {problem && (
        <span className="problem" role="alert">
          {problem}
        </span>
      )}
    </>
  )
}
