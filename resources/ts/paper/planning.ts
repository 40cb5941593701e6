import { ref } from 'vue'
import { type BenchPlanData, headers, Problem, refusal } from '../api/client'

export interface Question {
  stock: { id: number; count: number | null }[]
  need: { side_mm: number | string | null; count: number }[]
  method: 'scissors' | 'trimmer' | 'tear'
  prefer: 'least' | 'fewest' | 'scrap'
}
type Line = { share: number; what: string } | { plan: BenchPlanData }

/** Whole lines of what has come in so far, and the rest that waits for its end. */
export function lines(text: string): { whole: Line[]; rest: string } {
  const parts = text.split('\n')
  const rest = parts.pop() ?? ''
  return { whole: parts.filter((line) => line !== '').map((line) => JSON.parse(line) as Line), rest }
}

/** A cutting plan that tells how far it is while it is worked out, and can be stopped. */
export function usePlanning() {
  const busy = ref(false)
  const share = ref(0)
  const what = ref('')
  const plan = ref<BenchPlanData | null>(null)
  const error = ref('')
  const fields = ref<Record<string, string>>({})
  let abort = new AbortController()

  async function ask(question: Question) {
    abort = new AbortController()
    const { signal } = abort
    ;[busy.value, share.value, what.value, error.value, fields.value] = [true, 0, '', '', {}]
    try {
      const response = await fetch('/api/cut-plan', {
        method: 'POST',
        credentials: 'same-origin',
        signal,
        headers: { ...headers(), 'Content-Type': 'application/json' },
        body: JSON.stringify(question),
      })
      if (!response.ok || !response.body) throw refusal(response.status, await response.json().catch(() => ({})))
      let found: BenchPlanData | null = null
      let waiting = ''
      const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
      for (let part = await reader.read(); !part.done; part = await reader.read()) {
        const { whole, rest } = lines(waiting + part.value)
        waiting = rest
        for (const line of whole) {
          if ('plan' in line) found = line.plan
          else [share.value, what.value] = [line.share, line.what]
        }
      }
      if (!found) throw new Problem(500, 'The plan did not come to its end. Nothing was changed; try again.', {})
      plan.value = found
    } catch (problem) {
      if (signal.aborted) return
      error.value =
        problem instanceof Problem ? problem.message : 'The server cannot be reached. Nothing was changed; try again.'
      fields.value = problem instanceof Problem ? problem.fields : {}
    } finally {
      busy.value = false
    }
  }

  return { ask, stop: () => abort.abort(), busy, share, what, plan, error, fields }
}
