const kept = 'paper'

/** The paper that was chosen on this device last; nothing where none was, or where the browser keeps nothing. */
export function keptPaper(): string | undefined {
  try {
    return localStorage.getItem(kept) ?? undefined
  } catch {
    return undefined
  }
}

/** Remembers it on this device, as far as the browser does. */
export function keepPaper(paper: string) {
  try {
    localStorage.setItem(kept, paper)
  } catch {
    // It is chosen all the same, until the page is left.
  }
}
