<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'
import { decimal, fromDecimal, useMeasure } from '../parts/measure'

/** Finished models on a string: how long to cut it, what it weighs, how many lessons until the goal. */
const props = defineProps<{ model: string }>()
const { t } = useI18n()
const { unit } = useMeasure()
const models = ref(10)
const gap = ref(25)
const typedGap = computed({
  get: () => decimal(gap.value, unit.value),
  set: (value: number | string) => {
    gap.value = fromDecimal(value, unit.value) || 0
  },
})
const goal = ref(100)
const perLesson = ref(15)
const asked = computed(() => ({
  model: props.model,
  side: 150,
  models: Number(models.value) || 1,
  gap: Number(gap.value) || 0,
  goal: Number(goal.value) || 0,
  per_lesson: Number(perLesson.value) || 0,
}))
const string = useQuery({
  queryKey: ['string', asked],
  queryFn: () => answer(client.GET('/api/display-string', { params: { query: asked.value } })),
  placeholderData: (before) => before,
})
</script>

<template>
  <div>
    <div class="row">
      <v-text-field v-model="models" type="number" min="1" :label="t('string.models')" /><v-text-field
        v-model.lazy="typedGap"
        type="number"
        min="0"
        step="any"
        :label="t('string.gap', { unit })" />
      <v-text-field v-model="goal" type="number" min="0" :label="t('string.goal')" /><v-text-field
        v-model="perLesson"
        type="number"
        min="0"
        :label="t('string.perLesson')" />
    </div>
    <p v-if="string.data.value" role="status">
      {{
        t('string.answer', {
          length: string.data.value.length,
          drop: string.data.value.drop,
          beads: string.data.value.beads,
          weight: string.data.value.weight_g,
        })
      }}
      <template v-if="string.data.value.lessons !== null">{{
        t('string.lessons', { n: string.data.value.lessons })
      }}</template>
    </p>
    <p v-if="string.error.value" class="warn" role="alert">{{ string.error.value.message }}</p>
    <p class="caution">{{ t('string.caution') }}</p>
  </div>
</template>

<style scoped>
.row { margin: 10px 0; gap: 10px; }
.row > * { flex: 1 1 110px; }
</style>
