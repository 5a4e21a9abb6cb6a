import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

type Schemas = components['schemas']
export type Bench = Schemas['BenchView']
export type Choice = Schemas['ChoiceView']
export type Role = Schemas['ClothRole']
export type Cloth = Schemas['JobCloth']
export type ClothPlan = Schemas['ClothView']
export type Comparison = Schemas['ComparisonView']
export type Draft = Schemas['DraftView']
export type Entry = Schemas['Entry']
export type Covered = Schemas['CoverView']
export type Given = Schemas['GivenRecord']
export type CareMark = Schemas['CareMarkView']
export type RecordView = Schemas['RecordView']
export type Flaw = Schemas['JobFlaw']
export type FromShelf = Schemas['FromShelf']
export type Item = Schemas['Item']
export type JobDocument = Schemas['JobDocument']
export type JobView = Schemas['JobView']
export type LengthView = Schemas['LengthView']
export type Match = Schemas['Match']
export type MakeUp = Schemas['MakeUpView']
export type Photo = Schemas['Photo']
export type Piece = Schemas['PieceView']
export type Plan = Schemas['PlanView']
export type Pin = Schemas['JobPin']
export type Price = Schemas['JobPrice']
export type Problem = Schemas['Problem']
export type Remnant = Schemas['JobRemnant']
export type SetOfItems = Schemas['SetView']
export type SavingView = Schemas['SavingView']
export type Sewn = Schemas['SewnView']
export type Slide = Schemas['SlideView']
export type Size = Schemas['SizeView']
export type Unit = Schemas['JobUnit']
export type Workroom = Schemas['WorkroomView']
export type Customer = Schemas['Customer']
export type CustomerPage = Schemas['CustomerPage']
export type CustomerView = Schemas['CustomerView']
export type GiveOut = Schemas['GiveOut']
export type JobMoney = Schemas['JobMoneyView']
export type Offer = Schemas['PricedView']
export type SheetView = Schemas['SheetView']
export type PaperKind = Schemas['PaperKind']
export type PaperView = Schemas['PaperView']
export type PriceBook = Schemas['PriceBook']
export type PriceSheet = Schemas['PriceSheet']
export type PricedBy = Schemas['PricedBy']
export type Calendar = Schemas['Calendar']
export type Hand = Schemas['Hand']
export type JobSchedule = Schemas['JobSchedule']
export type Skill = Schemas['Skill']
export type Strip = Schemas['StripView']
export type Week = Schemas['WeekView']
export type WeekJob = Schemas['WeekJobView']
export type StockKind = Schemas['StockKind']
export type StockRow = Schemas['StockRow']
export type StockView = Schemas['StockView']
export type JobSummary = Schemas['JobSummary']
export type WorkroomFile = Schemas['WorkroomFileView']
export type ImportView = Schemas['ImportView']
export type PlotterState = Schemas['PlotterState']
export type MerchantState = Schemas['MerchantState']
export type OrderView = Schemas['OrderView']
export type TemplateEdge = Schemas['TemplateEdge']
export type WriteLetter = Schemas['WriteLetter']
export type TapeState = Schemas['TapeState']

export const api = createClient<paths>({ baseUrl: '' })

/** A refusal by the server: its title and detail, the problems by field, and for a conflict the job as it is now. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: Problem[],
    readonly current: JobView | undefined,
  ) {
    super(message)
  }
}

/** The data of an answer, or a thrown `Refused`; a server that does not answer throws what `fetch` throws. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call
  // An answer without content is one all the same.
  if (response.ok) return data as T
  const problem = (error ?? {}) as { title?: string; detail?: string; errors?: Problem[]; current?: JobView }
  throw new Refused(
    response.status,
    problem.detail ?? problem.title ?? `The server answered ${response.status}.`,
    problem.errors ?? [],
    problem.current,
  )
}

/** A new id, unguessable and unique. */
export const newId = () => crypto.randomUUID().replaceAll('-', '').slice(0, 16)

/** The word beside a field: what a bare number means there. */
export const unitWord = (unit: Unit) => (unit === 'cm' ? 'cm' : 'in')
