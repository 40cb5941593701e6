<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, client, Problem } from '../api/client'
import { useMe } from '../api/groups'
import { useFirstOffers } from '../api/lessons'
import { useModels } from '../api/models'
import { useBounds } from '../parts/bounds'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { later, wallNow } from '../parts/clock'
import FitOf from '../pacing/FitOf.vue'

/** One sentence and one press from nothing to a lesson: its group by numbers, its paper, and a plan. */
const { t } = useI18n()
const router = useRouter()
const cache = useQueryClient()
const me = useMe()
const { between } = useBounds()
const models = useModels()
const wish = ref({ learners: 12, years: 9, minutes: 45, paper: 'a4' })
const settled = useDebounce(computed(() => ({ ...wish.value })), 350)
const offers = useFirstOffers(settled)
const fields = computed(() => (offers.error.value instanceof Problem ? offers.error.value.fields : {}))
const modelOf = (slug: string) => models.data.value?.find((one) => one.slug === slug)
const making = ref<string | null>(null)
const problem = ref('')

async function make(model: string) {
  making.value = model
  problem.value = ''
  try {
    const lesson = await answer(
      client.POST('/api/first-lesson', {
        body: { ...wish.value, model, starts_at: later(`${wallNow().slice(0, 13)}:00`, 60) },
      }),
    )
    await cache.invalidateQueries()
    await router.push({ name: 'plan', params: { id: lesson.card.id } })
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    making.value = null
  }
}
</script>

<template>
  <section class="sheet first">
    <h1>{{ t('first.title') }}</h1>
    <p class="sentence">
      {{ t('first.teach') }}
      <input
        v-model.number="wish.learners"
        type="number"
        v-bind="between('learners')"
        min="1"
        :aria-label="t('first.learners')" />
      {{ t('first.of') }}
      <input v-model.number="wish.years" type="number" v-bind="between('years')" :aria-label="t('first.years')" />
      {{ t('first.for') }}
      <input v-model.number="wish.minutes" type="number" v-bind="between('minutes')" :aria-label="t('first.minutes')" />
      {{ t('first.with') }}
      <select v-model="wish.paper" :aria-label="t('first.paper')">
        <option v-for="one in me.data.value?.formats ?? []" :key="one.key" :value="one.key">{{ one.name }}</option>
      </select>
    </p>
    <p v-for="[at, why] in Object.entries(fields)" :key="at" class="warn" role="alert">{{ why }}</p>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
    <h2>{{ t('first.answer') }}</h2>
    <AskState
      v-if="offers.error.value && Object.keys(fields).length === 0"
      :error="offers.error.value"
      @again="offers.refetch()" />
    <p v-else-if="offers.isFetching.value" class="quiet" role="status">{{ t('first.coming') }}</p>
    <p v-else-if="offers.data.value?.length === 0" class="warn" role="status">{{ t('first.none') }}</p>
    <div class="offers" :class="{ old: offers.isFetching.value }">
      <button
        v-for="fit in offers.data.value ?? []"
        :key="fit.slug"
        type="button"
        :disabled="making !== null || offers.isFetching.value"
        @click="make(fit.slug)">
        <span class="picture"
          ><FoldPicture v-if="modelOf(fit.slug)" :drawing="modelOf(fit.slug)!.picture" :title="fit.slug"
        /></span>
        <b class="name">{{ modelOf(fit.slug)?.title ?? fit.slug }}</b>
        <span>{{ t('first.steps', { n: modelOf(fit.slug)?.steps ?? 0 }) }}</span>
        <FitOf :fit="fit" :slot-minutes="settled.minutes" :learners="settled.learners" />
        <span class="do">{{ making === fit.slug ? t('first.making') : t('first.take') }}</span>
      </button>
    </div>
    <p class="quiet">{{ t('first.then') }}</p>
  </section>
</template>

<style scoped>
.first { padding: 34px 40px; margin: 28px 0; }
.sentence { font-size: clamp(1.2rem, 2.4vw, 1.6rem); line-height: 2.2; }
.sentence input, .sentence select {
  font: inherit; font-weight: 700; color: var(--tide-deep); background: var(--paper); border: 0;
  border-bottom: 3px solid var(--tide); padding: 2px 6px; height: 50px;
}
.sentence input { width: 4.4rem; }
.sentence select { max-width: min(100%, 17rem); }
.offers { display: grid; grid-template-columns: repeat(auto-fill, minmax(170px, 1fr)); gap: 18px; margin: 12px 0 18px; }
.old { opacity: 0.55; }
.offers button { display: grid; gap: 2px; text-align: left; background: var(--paper-shade); padding: 14px; }
.offers button:hover, .offers button:focus-visible { background: var(--tint); }
.picture { height: 110px; filter: drop-shadow(0 6px 5px rgb(23 37 45 / 0.26)); }
.name { font-size: 1.15rem; }
.do { font-weight: 700; text-decoration: underline; color: var(--tide-deep); padding-top: 4px; }
@media (max-width: 600px) { .first { padding: 20px; } .offers { grid-template-columns: repeat(2, minmax(0, 1fr)); } }
</style>
