<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type LessonData, type LessonInput } from '../api/client'
import { useMe } from '../api/groups'
import { modelsOf } from '../lessons/input'

/**
 * How the lesson is taught, apart from its folds: what is not as usual in one sentence; behind it one choice of each
 * policy, with why it matters.
 */
const props = defineProps<{ lesson: LessonData }>()
const emit = defineEmits<{ change: [change: Partial<LessonInput>] }>()
const { t } = useI18n()
const policies = computed(() => props.lesson.setting.policies)
const closed = computed(() => props.lesson.card.status === 'taught')
const why = (list: (typeof policies.value.list)[number]) =>
  list.options.find((option) => option.key === list.chosen)?.why ?? ''

const open = ref(false)
/** What is chosen otherwise than this lead, or else this place, usually does. */
const unusual = computed(() => policies.value.list.filter((one) => one.chosen !== one.usual))
const differs = computed(() => [
  ...unusual.value.flatMap((one) => one.options.find((option) => option.key === one.chosen)?.title ?? []),
  ...(props.lesson.setting.decorate === 'none' ? [] : [
    t('plan.decorated', { when: t(`plan.decorate_${props.lesson.setting.decorate}`) }),
  ]),
  ...(policies.value.prepared > 0 ? [t('plan.preparedTo', { n: policies.value.prepared })] : []),
  ...props.lesson.models.filter((model) => model.times > 1).map((model) => t('plan.twiceOf', { title: model.title })),
])

/** Folds a model a second time in the lesson, or not. */
function again(slug: string, twice: boolean) {
  emit('change', {
    models: modelsOf(props.lesson).map((one) => (one.model === slug ? { ...one, times: twice ? 2 : 1 } : one)),
  })
}
const chosen = computed(() => Object.fromEntries(policies.value.list.map((one) => [one.key, one.chosen])))
const choose = (policy: string, option: string) =>
  emit('change', { policies: { ...chosen.value, [policy]: option } })
/** Does what would end a contradiction. */
const solve = ({ policies: some, ...rest }: (typeof policies.value.against)[number]['ways'][number]['change']) =>
  emit('change', { ...rest, ...(some ? { policies: { ...chosen.value, ...some } } : {}) })

const me = useMe()
const cache = useQueryClient()
const kept = ref('')
/** Lessons made from now on begin with what is chosen here. */
async function keep(whose: 'me' | 'place') {
  kept.value = ''
  await answer(client.PUT('/api/usual-policies', { body: { policies: chosen.value, for: whose } }))
  await cache.invalidateQueries({ queryKey: ['lessons'] })
  kept.value = t(whose === 'me' ? 'plan.usualKeptMe' : 'plan.usualKeptPlace')
}
</script>

<template>
  <section class="sheet policies no-print">
    <h2>{{ t('plan.how') }}</h2>
    <div v-for="one in closed ? [] : policies.against" :key="one.text" class="caution" role="alert">
      <p>{{ one.text }}</p>
      <button v-for="way in one.ways" :key="way.title" type="button" class="link way" @click="solve(way.change)">
        {{ way.title }}
      </button>
    </div>
    <p>
      {{ differs.length === 0 ? t('plan.asUsual') : t('plan.differs', { what: differs.join('; ') }) }}
      <button type="button" class="link" :aria-expanded="open" @click="open = !open">
        {{ t(open ? 'plan.howLess' : 'plan.howMore') }}
      </button>
    </p>
    <div v-if="open" class="grid">
      <v-select
        v-for="policy in policies.list"
        :key="policy.key"
        :model-value="policy.chosen"
        :label="policy.title"
        :hint="why(policy)"
        persistent-hint
        :disabled="closed"
        :items="policy.options.map((option) => ({ value: option.key, title: option.title }))"
        @update:model-value="(option: string) => choose(policy.key, option)" />
      <v-select
        :model-value="lesson.setting.decorate"
        :label="t('plan.decorate')"
        :hint="t(`plan.decorateWhy_${lesson.setting.decorate}`)"
        persistent-hint
        :disabled="closed"
        :items="(['none', 'before', 'after'] as const).map((w) => ({ value: w, title: t(`plan.decorate_${w}`) }))"
        @update:model-value="(decorate: LessonData['setting']['decorate']) => emit('change', { decorate })" />
      <v-select
        :model-value="policies.prepared"
        :label="t('plan.prepared')"
        :hint="t(policies.prepared ? 'plan.preparedWhy' : 'plan.preparedNot')"
        persistent-hint
        :disabled="closed"
        :items="
          Array.from({ length: policies.most_prepared + 1 }, (_, n) => ({
            value: n,
            title: t('plan.preparedSteps', { n }, n),
          }))
        "
        @update:model-value="(prepared: number) => emit('change', { prepared })" />
    </div>
    <template v-if="open">
      <v-checkbox
        v-for="model in lesson.models"
        :key="model.slug"
        :model-value="model.times > 1"
        :label="t('plan.twice', { title: model.title })"
        :disabled="closed"
        hide-details
        @update:model-value="(twice) => again(model.slug, twice === true)" />
      <p v-if="unusual.length" class="usual">
        {{ t('plan.usualAsk') }}
        <button type="button" class="link" @click="keep('me')">{{ t('plan.usualMe') }}</button>
        <button type="button" class="link" @click="keep('place')">
          {{ t('plan.usualPlace', { place: me.data.value?.organisation ?? '' }) }}
        </button>
      </p>
      <p v-if="kept" class="good" role="status">{{ kept }}</p>
    </template>
  </section>
</template>

<style scoped>
.policies { padding: 18px 22px 22px; }
.way { margin-right: 24px; }
.usual { margin-top: 10px; display: flex; flex-wrap: wrap; gap: 0 20px; align-items: center; }
.link { text-decoration: underline; min-height: 44px; font-weight: 650; }
.grid {
  display: grid; grid-template-columns: repeat(auto-fill, minmax(250px, 1fr)); gap: 16px 20px; margin-top: 12px;
  align-items: start;
}
</style>
