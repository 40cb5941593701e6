<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { type LessonCard, Problem } from '../api/client'
import { useGroups } from '../api/groups'
import { useCopyLesson } from '../api/lessons'
import { later } from '../parts/clock'

/** The same lesson for another class, or another day: a group, a day, a time. */
const props = defineProps<{ card: LessonCard }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const router = useRouter()
const groups = useGroups()
const copy = useCopyLesson()
const WEEK = 7 * 24 * 60
const start = later(props.card.starts_at, WEEK)
/** Another group where there is one: the same lesson again is rare. */
const other = computed(() => groups.data.value?.find((one) => one.id !== props.card.group_id))
const group = ref<number | null>(null)
const chosen = computed(() => group.value ?? other.value?.id ?? props.card.group_id)
const day = ref(start.slice(0, 10))
const from = ref(start.slice(11))
const errors = computed(() => (copy.error.value instanceof Problem ? copy.error.value.fields : {}))
async function make() {
  const body = { group_id: chosen.value, starts_at: `${day.value}T${from.value}` }
  const made = await copy.mutateAsync({ id: props.card.id, body }).catch(() => null)
  if (!made) return
  open.value = false
  await router.push({ name: 'plan', params: { id: made.card.id } })
}
</script>

<template>
  <v-dialog v-model="open" max-width="520">
    <form class="sheet stack" novalidate @submit.prevent="make">
      <h2>{{ t('copy.title', { model: card.model_title }) }}</h2>
      <p class="quiet">{{ t('copy.says') }}</p>
      <v-select
        :model-value="chosen"
        :label="t('choose.group')"
        :items="(groups.data.value ?? []).map((g) => ({ value: g.id, title: `${g.name}, ${g.learners.length}` }))"
        :error-messages="errors['group_id']"
        @update:model-value="group = $event" />
      <div class="row">
        <v-text-field v-model="day" type="date" :label="t('choose.date')" :error-messages="errors['starts_at']" />
        <v-text-field v-model="from" type="time" :label="t('choose.start')" />
      </div>
      <p v-if="copy.error.value && Object.keys(errors).length === 0" class="warn" role="alert">
        {{ copy.error.value.message }}
      </p>
      <div class="row">
        <v-btn color="primary" class="fold-button" type="submit" :loading="copy.isPending.value">{{
          t('copy.make')
        }}</v-btn>
        <v-btn variant="text" @click="open = false">{{ t('app.cancel') }}</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
