import { Refused, type Problem } from '../api/client'

const noAnswer = 'The server does not answer. Nothing is lost: try again.'

/** A problem in one sentence, with an example where there is one. */
export const problemText = ({ reason, example }: Problem) =>
  `${reason.charAt(0).toUpperCase()}${reason.slice(1)}.${example ? ` For example ${example}.` : ''}`

/** Why something was refused, in words. */
export const told = (error: unknown): string =>
  error instanceof Refused ? (error.problems[0] ? problemText(error.problems[0]) : error.message) : noAnswer
