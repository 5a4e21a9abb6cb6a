import type { PaperKind } from '../api/client'

/** What each kind of paper is called, in small letters. */
export const kindWord: Record<PaperKind, string> = {
  estimate: 'estimate',
  quotation: 'quotation',
  order: 'order',
  invoice: 'invoice',
  receipt: 'receipt',
  'credit-note': 'credit note',
}
