<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { question } from './asking'

/**
 * The one dialog of the application: a question with its choices, and what differs when two people changed one thing.
 */
const { t } = useI18n()
</script>

<template>
  <v-dialog :model-value="question !== null" max-width="620" @update:model-value="question?.answer('')">
    <div v-if="question" class="sheet stack" role="alertdialog" :aria-label="question.title">
      <h2>{{ question.title }}</h2>
      <p>{{ question.text }}</p>
      <table v-if="question.differences?.length">
        <thead>
          <tr>
            <th></th>
            <th>{{ t('ask.theirs') }}</th>
            <th>{{ t('ask.yours') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in question.differences" :key="row.field">
            <th>{{ row.field }}</th>
            <td>{{ row.theirs || '–' }}</td>
            <td>{{ row.yours || '–' }}</td>
          </tr>
        </tbody>
      </table>
      <div class="row">
        <v-btn
          v-for="(choice, i) in question.choices"
          :key="choice.key"
          :variant="i === 0 ? 'flat' : 'outlined'"
          :color="choice.danger ? 'error' : 'primary'"
          @click="question.answer(choice.key)"
          >{{ choice.label }}</v-btn
        >
        <v-btn
          v-if="!question.choices.some((choice) => choice.key === 'stay')"
          variant="text"
          @click="question.answer('')">{{ t('app.cancel') }}</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: 6px 12px 6px 0; border-bottom: 1px solid var(--row); vertical-align: top; }
tbody th { color: var(--ink-2); font-weight: 650; }
</style>
