/** The page's nonce for styles that are added at run time. */
export const nonce = document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content ?? ''

// The component library names the nonce for its themes, but not where it locks scrolling or measures a scroll bar. Only our own
// scripts run on the page, so whatever style element they create may carry it.
type Create = (this: Document, name: string, options?: ElementCreationOptions) => HTMLElement
const create: Create = Reflect.get<Document, 'createElement'>(document, 'createElement')
Object.defineProperty(document, 'createElement', {
  value: (name: string, options?: ElementCreationOptions) => {
    const element = create.call(document, name, options)
    if (element instanceof HTMLStyleElement) element.nonce = nonce
    return element
  },
})
