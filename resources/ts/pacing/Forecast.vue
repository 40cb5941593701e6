<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ForecastData, LessonData, LessonInput } from '../api/client'
import { clock } from '../parts/clock'
import Beside from '../lessons/Beside.vue'
import { type Lever, useLevers } from './useLevers'

/** Whether they will finish, where they will wait, and what would help: one press does it, one takes it back. */
const props = defineProps<{
  lesson: LessonData
  forecast?: ForecastData
  failed: boolean
  saving: boolean
  stepName: (step: number) => string
  /** why a step is hard; empty where it is not */
  because: (step: number) => string
}>()
const emit = defineEmits<{ change: [changes: Partial<LessonInput>]; rest: [until: number] }>()
/** the lever that is looked at beside the plan as it is */
const beside = defineModel<Lever | undefined>('beside')
const { t } = useI18n()

const at = (minutes: number) => clock(props.lesson.card.starts_at, 60 * minutes)
const now = computed(() => props.forecast?.now)
/** The rest of the first model can be a lesson of its own, begun with what was folded in this one. */
const mayRest = computed(() => (now.value?.until ?? 0) < (props.lesson.models[0]?.steps ?? 0))
const headline = computed(() => {
  const learners = props.forecast?.learners ?? 0
  const share = now.value?.share ?? 0
  const done = Math.round(share * learners)
  if (share >= 0.995) return t('forecast.all', { of: learners })
  return done === 0 ? t('forecast.none') : t('forecast.most', { n: done, of: learners })
})
const whole = (minutes: number) => Math.max(1, Math.round(minutes))
function gain({ minutes, share }: Lever) {
  const sooner = t('forecast.gain', { min: whole(minutes) }, whole(minutes))
  const more = Math.round(share * (props.forecast?.learners ?? 0))
  return more > 0 ? `${sooner}, ${t('forecast.more', { n: more })}` : sooner
}

const { pulled, pull, takeBack } = useLevers(() => props.lesson, (changes) => emit('change', changes))
const named = ({ name, steps, way, model, paper }: Pick<Lever, 'name' | 'steps' | 'way' | 'model' | 'paper'>) =>
  t(`forecast.${name}`, {
    n: steps ?? 0,
    question: way?.question ?? '',
    title: way?.title ?? (model.title || paper.title),
    folds: model.folds,
  })
/** What helps most; the rest behind a press. */
const FEW = 3
const all = ref(false)
const levers = computed(() => (all.value ? props.forecast?.levers : props.forecast?.levers.slice(0, FEW)) ?? [])
const same = (lever: Lever) => beside.value?.name === lever.name && beside.value.way?.option === lever.way?.option
</script>

<template>
  <section class="sheet forecast" aria-live="polite">
    <h2>{{ t('forecast.title') }}</h2>
    <p v-if="failed" class="quiet">{{ t('forecast.lost') }}</p>
    <p v-else-if="!forecast" class="quiet">{{ t('forecast.coming') }}</p>
    <template v-else-if="now">
      <p class="headline">{{ headline }}</p>
      <p>
        {{ t('forecast.when', { late: at(now.finish.late), middle: at(now.finish.middle) }) }}
        {{ t('forecast.everybody', { n: Math.round(100 * now.everybody) }) }}
      </p>
      <p v-for="hold in now.holds" :key="hold.step">
        {{
          t(
            'forecast.hold',
            {
              step: hold.step,
              name: stepName(hold.step),
              min: whole(hold.minutes),
              from: clock(lesson.card.starts_at, hold.from),
              to: clock(lesson.card.starts_at, hold.to),
            },
            whole(hold.minutes),
          )
        }}
        {{ because(hold.step) }}
      </p>
      <p v-if="now.until !== null">
        {{ t('forecast.until', { n: now.until, name: stepName(now.until) }) }}
        <button v-if="mayRest" type="button" class="link no-print" :disabled="saving" @click="emit('rest', now.until)">
          {{ t('forecast.rest') }}
        </button>
      </p>
      <p v-if="now.holds.length === 0">{{ t('forecast.free') }}</p>
      <h3>{{ t('forecast.levers') }}</h3>
      <p v-if="pulled" class="undo">
        {{ named(pulled) }}
        <v-btn variant="outlined" size="small" :loading="saving" @click="takeBack">{{ t('forecast.undo') }}</v-btn>
      </p>
      <p v-if="forecast.levers.length === 0" class="quiet">{{ t('forecast.nothing') }}</p>
      <ul v-else class="levers">
        <li v-for="lever in levers" :key="`${lever.name}-${lever.way?.passage}-${lever.way?.option}`">
          <span>{{ named(lever) }}</span>
          <span class="quiet">{{ gain(lever) }}</span>
          <button
            type="button"
            class="link no-print"
            :aria-pressed="same(lever)"
            :aria-label="`${t('forecast.compare')}: ${named(lever)}`"
            @click="beside = same(lever) ? undefined : lever">
            {{ t('forecast.compare') }}
          </button>
          <v-btn
            class="no-print"
            variant="outlined"
            size="small"
            :disabled="saving"
            :aria-label="`${t('forecast.apply')}: ${named(lever)}`"
            @click="lever.name === 'split' ? emit('rest', lever.steps ?? 0) : pull(lever)"
            >{{ t('forecast.apply') }}</v-btn
          >
          <Beside
            v-if="same(lever)"
            class="beside"
            :now="now"
            :then="lever.then"
            :learners="forecast.learners"
            :starts-at="lesson.card.starts_at"
            :name="named(lever)" />
        </li>
      </ul>
      <button
        v-if="forecast.levers.length > FEW"
        type="button"
        class="link no-print"
        :aria-expanded="all"
        @click="all = !all">
        {{ all ? t('forecast.fewer') : t('forecast.moreLevers', { n: forecast.levers.length - FEW }) }}
      </button>
      <p class="quiet">{{ t('forecast.source', { n: forecast.runs }) }}</p>
    </template>
  </section>
</template>

<style scoped>
.forecast { padding: 18px 22px; }
.forecast p { margin: 4px 0; }
.forecast h3 { font-size: 1.05rem; margin: 12px 0 4px; }
.headline { font-size: 1.3rem; font-weight: 700; }
.levers { list-style: none; padding: 0; margin: 0; }
.levers li {
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto auto; gap: 4px 12px; align-items: center;
  padding: 6px 0; border-top: 1px solid var(--row);
}
.link { text-decoration: underline; min-height: 44px; }
.beside { grid-column: 1 / -1; }
.undo { display: flex; gap: 12px; align-items: center; background: var(--now-pale); padding: 6px 10px; }
@media (max-width: 640px) {
  .levers li { grid-template-columns: minmax(0, 1fr) auto; gap: 2px 12px; }
  .levers li > .quiet { grid-column: 1; }
}
</style>
