import { useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose, watch } from 'vue'
import { client, type LessonData } from '../api/client'
import { mannerOf } from '../api/manner'
import { faultsQuery, motionQuery } from '../api/models'
import { isKeptWhole, keepPages, keptWhole, workerIsThere } from '../offline'

/** Milliseconds; first comes what the lead sees. */
const LATER = 3000

/**
 * Keeps a lesson on this device while there is a line, so that its stage opens and goes on without one: the page and
 * its files, the lesson, its models, and the motion and the mistakes of every step. Again whenever the lesson or the
 * application has changed; whatever fails is asked for at the next opening.
 */
export function useKeptLesson(lesson: () => LessonData | undefined) {
  const cache = useQueryClient()
  let stopped = false
  /** what is being kept */
  let at = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  onScopeDispose(() => {
    stopped = true
    clearTimeout(timer)
  })

  async function keep(data: LessonData) {
    const id = data.card.id
    const what = JSON.stringify([id, data.models.map((one) => [one.slug, one.ways]), document.scripts[0]?.src])
    if (what === at || isKeptWhole(what) || !(await workerIsThere())) return
    at = what
    await import('../space/PaperScene')
    await keepPages([`/lessons/${id}/teach`, `/lessons/${id}/wall`])
    // asked through the worker, which keeps the answers; what was asked before it took over is asked again
    await Promise.all([
      client.GET('/api/me'), client.GET('/api/folds'),
      client.GET('/api/lessons/{lesson}', { params: { path: { lesson: id } } }),
      ...data.models.map(({ slug, ways }) =>
        client.GET('/api/models/{model}', { params: { path: { model: slug }, query: { ways, ...mannerOf(data) } } })),
    ])
    for (const { slug, ways, steps } of data.models)
      for (let step = 1; step <= steps; step++) {
        if (stopped) return
        await cache.fetchQuery({ ...motionQuery(slug, ways, step), staleTime: 0 })
        await cache.fetchQuery({ ...faultsQuery(slug, ways, step), staleTime: 0 })
      }
    keptWhole(what)
  }

  watch(lesson, (data) => {
    clearTimeout(timer)
    if (data) timer = setTimeout(() => { keep(data).catch(() => { at = '' }) }, LATER)
  }, { immediate: true })
}
