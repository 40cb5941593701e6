<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, Problem } from '../api/client'
import { useMeasure } from '../parts/measure'

/** Is it square? Measure both diagonals. */
const props = defineProps<{ side: number; diagonal: string; model: string }>()
const { t } = useI18n()
const { unit } = useMeasure()
const first = ref('')
const second = ref('')
const result = ref<{ passes: boolean; text: string } | null>(null)
const errors = ref<Record<string, string>>({})
/** what failed on the way, where no field is wrong */
const failed = ref('')

async function check() {
  errors.value = {}
  failed.value = ''
  result.value = null
  try {
    result.value = await answer(
      client.GET('/api/square-check', {
        params: {
          query: {
            side: `${props.side} mm`,
            first: first.value,
            second: second.value,
            model: props.model,
            unit: unit.value,
          },
        },
      }),
    )
  } catch (problem) {
    errors.value = problem instanceof Problem ? problem.fields : {}
    failed.value = Object.keys(errors.value).length > 0 ? '' : problem instanceof Error ? problem.message : ''
  }
}
</script>

<template>
  <form class="stack" novalidate @submit.prevent="check">
    <h2>{{ t('square.title') }}</h2>
    <p class="quiet">{{ t('square.how', { diagonal }) }}</p>
    <div class="row">
      <v-text-field
        v-model="first"
        class="field"
        :label="t('square.first')"
        :error-messages="errors['first']" /><v-text-field
        v-model="second"
        class="field"
        :label="t('square.second')"
        :error-messages="errors['second']" /><v-btn type="submit" variant="outlined">{{ t('square.go') }}</v-btn>
    </div>
    <p v-if="failed" class="warn" role="alert">{{ failed }}</p>
    <p v-if="result" role="status" :class="result.passes ? 'good' : 'warn'">{{ result.text }}</p>
  </form>
</template>

<style scoped>
.stack { gap: 8px; }
.field { flex: 1 1 120px; }
</style>
