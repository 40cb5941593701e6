/** A line of the run sheet as the server lays it, seconds from the start of the slot. */
export interface TimedLine {
  kind: 'step' | 'block' | 'checkpoint'
  key: string
  step: number | null
  start: number
  seconds: number
}
export interface ClockLine { line: TimedLine; minute: number; minutes: number }

/**
 * Lines with whole minutes that add up: what is rounded, once, is the moment at which a line begins, and it takes as
 * long as the clock shows until the next. A line that is over within the same minute takes 0.
 */
export function alongTheClock(lines: readonly TimedLine[]): ClockLine[] {
  return lines.map((line) => {
    const minute = Math.round(line.start / 60)
    return { line, minute, minutes: Math.round((line.start + line.seconds) / 60) - minute }
  })
}

/** A row of the printed run sheet: a block in grey, or a step with what all must have before it goes on. */
export interface SheetRow {
  kind: 'block' | 'step'
  key: string
  step: number | null
  /** where it begins, minutes from the start of the slot */
  minute: number
  minutes: number
  /** all are waited for after it */
  checkpoint: boolean
}

/** A checkpoint belongs to its step: one row, with the time of both. */
export function sheetRows(lines: readonly TimedLine[]): SheetRow[] {
  const rows: SheetRow[] = []
  for (const { line, minute, minutes } of alongTheClock(lines)) {
    const last = rows.at(-1)
    if (line.kind === 'checkpoint' && last?.step === line.step) {
      last.minutes += minutes
      last.checkpoint = true
    } else {
      rows.push({
        kind: line.kind === 'step' ? 'step' : 'block', key: line.key, step: line.step, minute, minutes,
        checkpoint: line.kind === 'checkpoint',
      })
    }
  }
  return rows
}

/** Pages of so many rows each: one where there are at most 17 steps, else as few as hold them, of like length. */
export function pagesOf<T extends { kind: string }>(rows: readonly T[]): T[][] {
  const steps = rows.filter((row) => row.kind === 'step').length
  const pages = Math.max(1, Math.ceil(steps / ONE_PAGE))
  const each = Math.ceil(rows.length / pages)
  return Array.from({ length: pages }, (_, page) => rows.slice(page * each, (page + 1) * each))
}
const ONE_PAGE = 17
