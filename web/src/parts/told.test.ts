import { expect, test } from 'vitest'
import { answer, Refused, unitWord, type Problem } from '../api/client'
import { identity } from './identity'
import { problemText, told } from './told'

const problem = (reason: string, example: string): Problem =>
  ({ field: 'measures.W', text: '', at: 0, reason, example }) as unknown as Problem

test('a problem is a sentence, with an example where there is one', () => {
  expect(problemText(problem('a size is needed here, not zero', '18 1/2'))).toBe(
    'A size is needed here, not zero. For example 18 1/2.',
  )
  expect(problemText(problem('the cloth is too narrow', ''))).toBe('The cloth is too narrow.')
})

test('of several problems the first is told, of none what the server said, of silence that nothing is lost', () => {
  const problems = [problem('not a length', '20'), problem('too deep', '3')]
  expect(told(new Refused(422, 'Two fields are wrong.', problems, undefined))).toBe('Not a length. For example 20.')
  expect(told(new Refused(409, 'It was changed elsewhere.', [], undefined))).toBe('It was changed elsewhere.')
  expect(told(new TypeError('fetch failed'))).toMatch(/does not answer.*Nothing is lost/)
})

const reply = (status: number) => new Response(null, { status })

test('an answer is its data, empty ones too', async () => {
  expect(await answer(Promise.resolve({ data: { id: 'b' }, response: reply(200) }))).toEqual({ id: 'b' })
  expect(await answer(Promise.resolve({ response: reply(204) }))).toBeUndefined()
})

test('a refusal has its status, the nearest words there are, its problems and the job as it is', async () => {
  const refused = (status: number, error: unknown) =>
    answer(Promise.resolve({ error, response: reply(status) })).then(
      () => undefined,
      (reason: unknown) => reason as Refused,
    )
  const current = { id: 'bench', revision: 4 }
  expect(await refused(409, { title: 'Conflict', detail: 'It was changed elsewhere.', current })).toMatchObject({
    status: 409,
    message: 'It was changed elsewhere.',
    problems: [],
    current,
  })
  expect(await refused(422, { title: 'Some fields are wrong.', errors: [problem('too deep', '3')] })).toMatchObject({
    message: 'Some fields are wrong.',
    problems: [{ reason: 'too deep' }],
  })
  expect((await refused(502, undefined))?.message).toBe('The server answered 502.')
})

test('a server that is not there is not taken for one that refuses', async () => {
  await expect(answer(Promise.reject(new TypeError('fetch failed')))).rejects.toBeInstanceOf(TypeError)
})

test('an object has one number, its copy another', () => {
  const one = { W: '18' }
  expect(identity(one)).toBe(identity(one))
  expect(identity({ ...one })).not.toBe(identity(one))
})

test('a bare number is named in the unit of its field', () => {
  expect([unitWord('in'), unitWord('cm')]).toEqual(['in', 'cm'])
})
