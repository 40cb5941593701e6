<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ForecastData, LessonData, LessonInput } from '../api/client'
import { clock } from '../parts/clock'

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
const emit = defineEmits<{ change: [changes: Partial<LessonInput>] }>()
const { t } = useI18n()

type Lever = ForecastData['levers'][number]
const at = (minutes: number) => clock(props.lesson.card.starts_at, 60 * minutes)
const done = computed(() => Math.round((props.forecast?.share ?? 0) * (props.forecast?.learners ?? 0)))
const headline = computed(() => {
  const { share = 0, learners = 0 } = props.forecast ?? {}
  if (share >= 0.995) return t('forecast.all', { of: learners })
  return done.value === 0 ? t('forecast.none') : t('forecast.most', { n: done.value, of: learners })
})
const whole = (minutes: number) => Math.max(1, Math.round(minutes))
function gain({ minutes, share }: Lever) {
  const sooner = t('forecast.gain', { min: whole(minutes) }, whole(minutes))
  const more = Math.round(share * (props.forecast?.learners ?? 0))
  return more > 0 ? `${sooner}, ${t('forecast.more', { n: more })}` : sooner
}

/** What a lever changes of the lesson, and what it was. */
function changes({ name, steps }: Lever): [Partial<LessonInput>, Partial<LessonInput>] {
  const { setting } = props.lesson
  const { policies } = setting
  const chosen = Object.fromEntries(policies.list.map((p) => [p.key, p.chosen]))
  switch (name) {
    case 'helper':
      return [{ helpers: setting.helpers + 1 }, { helpers: setting.helpers }]
    case 'squares':
      return [{ square_in_lesson: false }, { square_in_lesson: true }]
    case 'decorate':
      return [{ decorate: 'none' }, { decorate: setting.decorate }]
    case 'prepared':
      return [{ prepared: steps ?? 0 }, { prepared: policies.prepared }]
    case 'forgiving':
      return [{ policies: { ...chosen, exact: 'forgiving' } }, { policies: chosen }]
  }
}
const undo = ref<{ name: Lever['name']; n: number | null; back: Partial<LessonInput> }>()
function apply(lever: Lever) {
  const [forth, back] = changes(lever)
  undo.value = { name: lever.name, n: lever.steps, back }
  emit('change', forth)
}
function takeBack() {
  if (undo.value) emit('change', undo.value.back)
  undo.value = undefined
}
</script>

<template>
  <section class="sheet forecast" aria-live="polite">
    <h2>{{ t('forecast.title') }}</h2>
    <p v-if="failed" class="quiet">{{ t('forecast.lost') }}</p>
    <p v-else-if="!forecast" class="quiet">{{ t('forecast.coming') }}</p>
    <template v-else>
      <p class="headline">{{ headline }}</p>
      <p>
        {{ t('forecast.when', { late: at(forecast.finish.late), middle: at(forecast.finish.middle) }) }}
        {{ t('forecast.everybody', { n: Math.round(100 * forecast.everybody) }) }}
      </p>
      <p v-for="hold in forecast.holds" :key="hold.step">
        {{
          t(
            'forecast.hold',
            {
              n: hold.step,
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
      <p v-if="forecast.holds.length === 0">{{ t('forecast.free') }}</p>
      <h3>{{ t('forecast.levers') }}</h3>
      <p v-if="undo" class="undo">
        {{ t(`forecast.${undo.name}`, { n: undo.n ?? 0 }) }}
        <v-btn variant="outlined" size="small" :loading="saving" @click="takeBack">{{ t('forecast.undo') }}</v-btn>
      </p>
      <p v-if="forecast.levers.length === 0" class="quiet">{{ t('forecast.nothing') }}</p>
      <ul v-else class="levers">
        <li v-for="lever in forecast.levers" :key="lever.name">
          <span>{{ t(`forecast.${lever.name}`, { n: lever.steps ?? 0 }) }}</span>
          <span class="quiet">{{ gain(lever) }}</span>
          <v-btn
            class="no-print"
            variant="outlined"
            size="small"
            :disabled="saving"
            :aria-label="`${t('forecast.apply')}: ${t(`forecast.${lever.name}`, { n: lever.steps ?? 0 })}`"
            @click="apply(lever)"
            >{{ t('forecast.apply') }}</v-btn
          >
        </li>
      </ul>
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
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto; gap: 12px; align-items: center;
  padding: 6px 0; border-top: 1px solid #e3e6e1;
}
.undo { display: flex; gap: 12px; align-items: center; background: var(--now-pale); padding: 6px 10px; }
@media (max-width: 640px) {
  .levers li { grid-template-columns: minmax(0, 1fr) auto; gap: 2px 12px; }
  .levers li > .quiet { grid-row: 2; }
  .levers li > .v-btn { grid-row: 1 / 3; grid-column: 2; }
}
</style>
