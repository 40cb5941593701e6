<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData, LessonInput } from '../api/client'
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
/** The first option of each policy is the usual one. */
const differs = computed(() => [
  ...policies.value.list.flatMap((one) => {
    const chosen = one.options.find((option) => option.key === one.chosen)
    return chosen && chosen.key !== one.options[0]?.key ? [chosen.title] : []
  }),
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
function choose(policy: string, option: string) {
  const chosen = Object.fromEntries(policies.value.list.map((one) => [one.key, one.chosen]))
  emit('change', { policies: { ...chosen, [policy]: option } })
}
</script>

<template>
  <section class="sheet policies no-print">
    <h2>{{ t('plan.how') }}</h2>
    <p v-if="policies.against" class="warn" role="alert">{{ policies.against }}</p>
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
    </template>
  </section>
</template>

<style scoped>
.policies { padding: 18px 22px 22px; }
.link { text-decoration: underline; min-height: 44px; font-weight: 650; }
.grid {
  display: grid; grid-template-columns: repeat(auto-fill, minmax(250px, 1fr)); gap: 16px 20px; margin-top: 12px;
  align-items: start;
}
</style>
