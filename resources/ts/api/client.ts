import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'

type Schemas = components['schemas']
export type AccountData = Schemas['AccountData']
export type Drawing = Schemas['Drawing']
export type ModelSummary = Schemas['ModelSummary']
export type ModelData = Schemas['ModelData']
export type StepData = Schemas['StepData']
export type FoldData = Schemas['FoldData']
export type FoldPageData = Schemas['FoldPageData']
export type PatternData = Schemas['PatternData']
export type MotionData = Schemas['MotionData']
export type SheetMapData = Schemas['SheetMapData']
export type ForecastData = Schemas['ForecastData']
export type TermData = Schemas['TermData']
export type ModelFit = Schemas['ModelFit']
export type FaultData = Schemas['FaultData']
export type WaysData = Schemas['WaysData']
export type Passage = WaysData['passages'][number]
/** The way taken, by route of a model. */
export type Ways = Record<string, string>
export type GroupData = Schemas['GroupData']
export type GroupInput = Schemas['GroupInput']
export type StockData = Schemas['StockData']
export type StockInput = Schemas['StockInput']
export type StockChangeData = Schemas['StockChangeData']
export type LessonCard = Schemas['LessonCard']
export type LessonData = Schemas['LessonData']
export type LessonInput = Schemas['LessonInput']
export type BinEntry = Schemas['BinEntry']
export type FinishData = Schemas['FinishData']
export type PlanData = Schemas['PlanData']
export type CutPatternData = Schemas['CutPatternData']
export type BenchPlanData = Schemas['BenchPlanData']

/** What the server refused, in its own words, with the fields it concerns. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: Record<string, string>,
    /** what else the server said: what is there now, what differs, what would go */
    readonly body: Record<string, unknown> = {},
  ) {
    super(message)
  }
}

/** What every request carries. */
export function headers(): Record<string, string> {
  const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1]
  return { Accept: 'application/json', ...(token ? { 'X-XSRF-TOKEN': decodeURIComponent(token) } : {}) }
}

const csrf: Middleware = {
  onRequest({ request }) {
    for (const [name, value] of Object.entries(headers())) request.headers.set(name, value)
    return request
  },
}

/** How often it is asked again while the server works out much else: half a minute and more. */
const TRIES = 40
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

/** Asks again, in a moment, for what the server has not begun since all its lanes were taken. */
export async function patiently(request: Request, ask: (request: Request) => Promise<Response> = fetch) {
  for (let tries = 1; ; tries++) {
    const found = await ask(request.clone())
    if (found.status !== 503 || !found.headers.has('Cathedra-Busy') || tries === TRIES) return found
    await pause(1000 * Number(found.headers.get('Retry-After') ?? 1) * (0.5 + Math.random() / 2))
  }
}

export const client = createClient<paths>({
  baseUrl: '/',
  credentials: 'same-origin',
  fetch: (request) => patiently(request),
})
client.use(csrf)

/** The body of an answer, or a Problem with the server's message. A lost connection is a Problem with status 0. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result
  try {
    result = await call
  } catch {
    throw new Problem(0, 'The server cannot be reached. What you did here is kept and sent again.', {})
  }
  if (result.response.ok) return result.data as T
  throw refusal(result.response.status, result.error)
}

/** The body of a refusal as a Problem. */
export function refusal(status: number, given: unknown): Problem {
  const body = (given ?? {}) as Partial<Schemas['Problem']>
  const fields: Record<string, string> = {}
  for (const { pointer, message } of body.errors ?? []) fields[pointer.slice(1)] ??= message
  return new Problem(status, body.message ?? 'This did not work. Nothing was changed; try again.', fields, { ...body })
}
