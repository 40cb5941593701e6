import type { Standing } from './standing'

export interface Line { kind: string; step?: number | null; start: number; seconds: number }
export interface Slot { start_ms: number; bell_ms: number }
/** Seconds since the lesson should have begun, the step the plan says we should be at, minutes behind it. */
export interface Drift { elapsed: number; planned: number; behind: number }

const EARLY_MS = 1_800_000

/** A lesson against its plan: the mirror of core/Lesson/Drift.php. */
export function driftOf(standing: Standing, lines: readonly Line[], nowMs: number, slot: Slot): Drift {
  const started = standing.started_ms
  if (started === null) return { elapsed: 0, planned: 0, behind: 0 }
  const steps = lines.filter((one) => one.kind === 'step')
  const first = standing.marks === null || steps.length === 0 ? 0 : Math.min(...steps.map((one) => one.start))
  const isPlanned = started >= slot.start_ms - EARLY_MS && started <= slot.bell_ms
  const since = isPlanned
    ? (standing.ended_ms ?? nowMs) - slot.start_ms
    : (standing.ended_ms ?? standing.pause_ms ?? nowMs) - started - standing.paused_ms + 1000 * first
  const elapsed = Math.max(0, Math.trunc(since / 1000))
  let [planned, behind] = [0, 0]
  for (const line of steps) {
    if (line.start <= elapsed) planned = Math.max(planned, line.step ?? 0)
    if (line.step === Math.max(1, standing.step)) {
      const end = standing.step > 0 ? line.start + line.seconds : line.start
      behind = elapsed > end ? elapsed - end : Math.min(0, elapsed - line.start)
    }
  }
  return { elapsed, planned, behind: Math.trunc((behind + (behind >= 0 ? 30 : -30)) / 60) || 0 }
}
