<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../api/client'
import Measures from '../paper/Measures.vue'
import { clock, day } from '../parts/clock'
import FinishMark from '../parts/FinishMark.vue'
import { type Finish, isFinished, type Outcome } from './log/outcomes'
import { useOutbox } from './outbox/outbox'
import MakeUp from './MakeUp.vue'
import RefusedDeeds from './RefusedDeeds.vue'
import { useLessonLog } from './useLessonLog'
import WaysFolded from '../ways/WaysFolded.vue'
import WhatNext from './WhatNext.vue'
import { exceptionsOf, silentOf } from './wrapUp'

/**
 * The record of a lesson: what its log says of everybody, corrected by hand where the taps were wrong, with its
 * history.
 */
const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const cache = useQueryClient()
const outbox = useOutbox()
const { log, outcomes, standing, add, waiting, newest } = useLessonLog(
  () => props.lesson.card.id,
  () => props.lesson,
)
const kinds = ['alone', 'help', 'stopped', 'away'] as const
/** With several models in the lesson, each has its own records. */
const slug = ref(props.lesson.card.model)
const model = computed(() => props.lesson.models.find((m) => m.slug === slug.value) ?? props.lesson.models[0])
const of = (learner: number): Outcome | undefined => outcomes.value.records[learner]?.[slug.value]
const entered = computed(() => props.lesson.group.learners.filter((l) => of(l.id)))
const finished = computed(() => entered.value.filter((l) => isFinished(of(l.id)?.[0] ?? '')).length)
const said = (o?: Outcome) =>
  !o ? t('keep.none') : o[0] === 'stopped' ? t('keep.stoppedAt', { n: o[1] }) : t(`keep.outcome.${o[0]}`)
const nameOf = (learner: number) => props.lesson.group.learners.find((l) => l.id === learner)?.name ?? ''
const titleOf = (name: string) => props.lesson.models.find((m) => m.slug === name)?.title ?? name
const refused = computed(() => outbox.refused.value.filter((deed) => deed.lesson === props.lesson.card.id))

/** By exception: who is to be looked at, largest doubt first; all others stand in one line, unless it is opened. */
const each = ref(false)
const ids = computed(() => props.lesson.group.learners.map((learner) => learner.id))
const exceptions = computed(() =>
  standing.value.marks === 'exception' && standing.value.ended_ms !== null && model.value
    ? exceptionsOf(log.value, standing.value, outcomes.value, model.value, ids.value)
    : null)
const shown = computed(() => {
  const rows = exceptions.value?.map(({ learner, known }) => ({
    id: learner, name: nameOf(learner), known: t(`keep.known.${known.kind}`, { n: known.step }),
  }))
  const all = props.lesson.group.learners.map(({ id, name }) => ({ id, name, known: '' }))
  return rows && !each.value ? rows : all.map((one) => rows?.find((row) => row.id === one.id) ?? one)
})
const silent = computed(() => {
  const loud = new Set(exceptions.value?.map((one) => one.learner))
  return exceptions.value && !each.value
    ? silentOf(outcomes.value, slug.value, ids.value.filter((id) => !loud.has(id)))
    : []
})
const here = computed(() =>
  props.lesson.group.learners.filter((l) => of(l.id)?.[0] !== 'away').length)
const toLook = computed(() => exceptions.value?.filter((one) => one.outcome?.[0] !== 'away').length ?? 0)
const looked = computed(() => entered.value.filter((l) => of(l.id)?.[2]).length)
/** Who stopped or was not there, and from where it goes on: for another time. */
const left = computed(() => {
  const ended = standing.value.ended_ms === null ? [] : entered.value
  return ended.filter((l) => ['stopped', 'away'].includes(of(l.id)?.[0] ?? ''))
    .map((l) => ({ name: l.name, step: of(l.id)?.[1] ?? 1 }))
})

/** Of whom nothing is recorded though the lesson has ended; what they all did is said with one press. */
const others = computed(() =>
  standing.value.ended_ms === null ? [] : props.lesson.group.learners.filter((l) => !of(l.id)),
)
function enterOthers(finish: Finish) {
  const at = Math.max(1, Math.min(model.value?.steps ?? 1, standing.value.step - (model.value?.first ?? 1) + 1))
  for (const learner of others.value) enter(learner.id, finish, at)
}

/** Who set it by hand last, and when. */
function history(learner: number): string {
  const last = log.value.events
    .filter((e) => e.kind === 'corrected' && e.learner === learner && e.correction?.model === slug.value)
    .filter((e) => !log.value.takenBack.has(e.key) && e.by)
    .at(-1)
  if (!last) return ''
  const local = new Date(last.at_ms - new Date(last.at_ms).getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
  const words = { today: t('home.today'), tomorrow: t('home.tomorrow') }
  return t('keep.history', { by: last.by, at: `${day(local, words)} ${clock(local)}` })
}

function enter(learner: number, finish: Finish, step: number | null, name = slug.value) {
  void add('corrected', {
    learner,
    correction: { model: name, finish, step: finish === 'stopped' ? (step ?? 1) : null },
  })
}
/** All of them have finished after all. */
function enterAll(learners: readonly number[]) {
  for (const learner of learners) enter(learner, 'alone', null)
}
// Lists elsewhere show records too; they are read anew once the server has the corrections.
watch([waiting, newest], ([left], [before]) => {
  if (left === 0 && before > 0) {
    for (const key of ['home', 'wall', 'lessons', 'next-models']) void cache.invalidateQueries({ queryKey: [key] })
  }
})
</script>

<template>
  <section class="stack">
    <div class="row">
      <h1>
        {{
          lesson.card.status === 'taught' || Object.keys(outcomes.records).length
            ? t('keep.title', { n: finished, m: here })
            : t('keep.untaught')
        }}{{ exceptions ? `. ${t('keep.toLook', toLook)}` : '' }}
      </h1>
      <RouterLink class="ml-auto" :to="{ name: 'wall', params: { id: lesson.card.group_id } }">{{
        t('keep.wall', { group: lesson.card.group })
      }}</RouterLink>
    </div>
    <div v-if="lesson.models.length > 1" class="pages" role="radiogroup" :aria-label="t('keep.model')">
      <label v-for="m in lesson.models" :key="m.slug" :class="{ on: m.slug === slug }"
        ><input v-model="slug" type="radio" name="model" :value="m.slug" /> {{ m.title }}</label
      >
    </div>
    <p v-if="lesson.card.status !== 'taught'" class="quiet">{{ t('keep.untaughtText') }}</p>
    <p v-else-if="exceptions && finished > 0" class="quiet">
      {{ t('keep.presumed', { n: looked, m: finished - looked }) }}
    </p>
    <RefusedDeeds :deeds="refused" @again="outbox.again" @drop="outbox.drop" />
    <section v-if="standing.late.length" class="sheet late" role="status">
      <p>
        <b>{{ t('keep.late', { n: standing.late.length }) }}</b>
      </p>
      <p v-for="offer in outcomes.offers" :key="`${offer.learner} ${offer.model}`">
        {{
          t('keep.offer', {
            name: nameOf(offer.learner),
            model: titleOf(offer.model),
            to: said(offer.to),
            from: said(offer.from ?? undefined),
          })
        }}
        <button type="button" @click="enter(offer.learner, offer.to[0], offer.to[1], offer.model)">
          {{ t('keep.take') }}
        </button>
      </p>
    </section>
    <div v-if="others.length" class="sheet others" role="group" :aria-label="t('keep.others', others.length)">
      <b>{{ t(others.length === lesson.group.learners.length ? 'keep.everybody' : 'keep.others', others.length) }}</b>
      <button v-for="kind in kinds" :key="kind" type="button" @click="enterOthers(kind)">
        {{ t(`keep.othersAre.${kind}`) }}
      </button>
    </div>
    <ul class="sheet list people">
      <li v-for="learner in shown" :key="learner.id">
        <FinishMark
          :outcome="of(learner.id)?.[0] ?? ''"
          :step="of(learner.id)?.[1] ?? null"
          :label="said(of(learner.id))" />
        <b>{{ learner.name }}<small v-if="learner.known" class="known">{{ learner.known }}</small></b>
        <div role="radiogroup" :aria-label="t('keep.for', { name: learner.name })" class="choices">
          <label v-for="outcome in kinds" :key="outcome" :class="{ on: of(learner.id)?.[0] === outcome }">
            <input
              type="radio"
              :name="`o${learner.id} ${slug}`"
              :checked="of(learner.id)?.[0] === outcome"
              @change="enter(learner.id, outcome, of(learner.id)?.[1] ?? 1)" />
            {{ t(`keep.outcome.${outcome}`) }}
          </label>
          <select
            v-if="of(learner.id)?.[0] === 'stopped'"
            :aria-label="t('keep.stepAt')"
            :value="of(learner.id)?.[1]"
            @change="enter(learner.id, 'stopped', Number(($event.target as HTMLSelectElement).value))">
            <option v-for="n in model?.steps ?? 0" :key="n" :value="n">{{ n }}</option>
          </select>
        </div>
        <span v-if="history(learner.id)" class="quiet history">{{ history(learner.id) }}</span>
      </li>
      <li v-for="one in silent" :key="one.outcome.join(' ')" class="silent">
        <FinishMark :outcome="one.outcome[0]" :step="one.outcome[1]" presumed :label="said(one.outcome)" />
        <b>{{ t('keep.silent', { n: one.learners.length }, one.learners.length) }}<small class="known">{{
          t(`keep.with.${isFinished(one.outcome[0]) ? 'finished' : 'stopped'}`, { n: one.outcome[1] })
        }}</small></b>
        <p>{{ one.learners.map(nameOf).join(', ') }}</p>
        <button v-if="!isFinished(one.outcome[0])" type="button" @click="enterAll(one.learners)">
          {{ t('keep.finishedAll') }}
        </button>
        <button type="button" @click="each = true">{{ t('keep.each') }}</button>
      </li>
    </ul>
    <RouterLink v-if="exceptions" class="kept no-print" :to="{ name: 'home' }">{{ t('keep.keepThese') }}</RouterLink>
    <MakeUp :lesson="lesson" :slug="slug" :left="left" />
    <WaysFolded :finishes="lesson.record.finishes.filter((f) => f.model === slug)" :name-of="nameOf" />
    <button v-if="standing.ended_ms !== null" type="button" class="again no-print" @click="add('reopened')">
      {{ t('keep.reopen') }}
    </button>
    <WhatNext v-if="lesson.card.status === 'taught'" :group="lesson.card.group_id" />
    <Measures :lesson="lesson" />
    <RouterLink :to="{ name: 'worksheet', params: { id: lesson.card.id } }">{{ t('keep.worksheet') }}</RouterLink>
  </section>
</template>

<style scoped>
.late { padding: 12px 20px; border-left: 6px solid var(--now); }
.others { padding: 4px 20px; display: flex; flex-wrap: wrap; gap: 0 22px; align-items: center; }
.others button { text-decoration: underline; font-weight: 700; min-height: 48px; color: var(--tide-deep); }
.late button, .again {
  text-decoration: underline; font-weight: 700; min-height: 44px; color: var(--tide-deep); justify-self: start;
}
.history { grid-column: 3; font-size: 0.85rem; }
.people { padding: 8px 20px; }
.known { display: block; font-weight: 400; color: var(--ink-2); }
.silent p { line-height: 1.4; }
.people .silent {
  background: var(--tint); margin: 0 -20px; padding: 10px 20px; grid-template-columns: 40px 240px 1fr auto auto;
}
.silent button { min-height: 48px; padding: 0 18px; border: 2px solid var(--ink); font-weight: 650; }
.kept {
  justify-self: start; background: var(--tide); color: white; font-weight: 700; padding: 14px 26px;
  text-decoration: none; font-size: 1.1rem; clip-path: polygon(0 0, calc(100% - 16px) 0, 100% 16px, 100% 100%, 0 100%);
}
.people li {
  display: grid; grid-template-columns: 40px 240px 1fr; align-items: center; gap: 12px; padding: 6px 0;
  border-bottom: 1px solid var(--row); min-height: 48px;
}
.pages { display: flex; flex-wrap: wrap; gap: 0 4px; }
.pages label {
  display: flex; gap: 8px; align-items: center; min-height: 48px; padding: 0 18px; background: var(--paper-shade);
  cursor: pointer; font-family: var(--head); font-size: 1.1rem;
}
.pages label.on { background: var(--tide); color: white; font-weight: 700; }
.pages input { accent-color: var(--tide-deep); width: 18px; height: 18px; }
.choices { display: flex; gap: 6px 18px; flex-wrap: wrap; align-items: center; }
.choices label { display: flex; align-items: center; gap: 6px; padding: 8px 2px; cursor: pointer; color: var(--ink-2); }
.choices label.on { color: var(--ink); font-weight: 700; }
.choices input { accent-color: var(--tide); width: 18px; height: 18px; }
select { border: 1px solid var(--ink-2); padding: 6px 10px; background: var(--paper); appearance: auto; }
@media (max-width: 899px) {
  .people li, .people .silent { grid-template-columns: 40px 1fr; }
  .silent p, .silent button { grid-column: 1 / -1; }
  .people .choices, .people .history { grid-column: 1 / -1; }
  .choices { gap: 0 14px; }
  .choices select { order: 1; } /* behind "stopped at step" */
  .choices label:nth-of-type(4) { order: 2; }
}
/* one column for each end, so that the list can be read downward; the step stands behind "stopped at step" */
@media (min-width: 641px) {
  .choices { display: grid; grid-template-columns: 9.2rem 11rem 9.6rem 4.4rem 5rem; gap: 0 14px; }
  .choices label { white-space: nowrap; }
  .choices label:nth-of-type(4) { grid-column: 5; }
  .choices select { grid-area: 1 / 4; justify-self: start; }
}
</style>
