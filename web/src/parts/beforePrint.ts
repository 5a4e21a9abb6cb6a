/** Waits for what is typed to be saved. */
export interface Saving {
  isDone: () => boolean
  /** Ends once it is done, or with false when it takes too long. */
  done: () => Promise<boolean>
}

/** Why nothing is printed. */
export const notSaved = 'What was typed last is not saved yet and would be missing on it: look at the head of the page.'
