import type { Standing } from './standing'

export interface Line { kind: string; step?: number | null; start: number; seconds: number }
/** Seconds of teaching, the step the plan says we should be at, and minutes behind it (negative: ahead). */
export interface Drift { elapsed: number; planned: number; behind: number }

/** A lesson against its plan: the mirror of core/Lesson/Drift.php. */
export function driftOf(standing: Standing, lines: readonly Line[], nowMs: number): Drift {
  if (standing.started_ms === null) return { elapsed: 0, planned: 0, behind: 0 }
  const until = standing.ended_ms ?? standing.pause_ms ?? nowMs
  const elapsed = Math.max(0, Math.trunc((until - standing.started_ms - standing.paused_ms) / 1000))
  let [planned, behind] = [0, 0]
  for (const line of lines.filter((one) => one.kind === 'step')) {
    if (line.start <= elapsed) planned = Math.max(planned, line.step ?? 0)
    if (line.step === Math.max(1, standing.step)) {
      const end = standing.step > 0 ? line.start + line.seconds : line.start
      behind = elapsed > end ? elapsed - end : Math.min(0, elapsed - line.start)
    }
  }
  return { elapsed, planned, behind: Math.trunc((behind + (behind >= 0 ? 30 : -30)) / 60) || 0 }
}
