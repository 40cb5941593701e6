<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { client, type LessonData } from '../api/client'
import { useLessonFit } from '../api/groups'
import { useRemoving } from '../bin/useRemoving'
import AskState from '../parts/AskState.vue'
import { useBounds } from '../parts/bounds'
import DraftNote from '../parts/DraftNote.vue'
import { showFirstFault } from '../parts/firstFault'
import ShelfBoard from '../shelf/ShelfBoard.vue'
import { useWishes } from '../shelf/useWishes'
import WishSentence from '../shelf/WishSentence.vue'
import ChooseFoot from './ChooseFoot.vue'
import { useChoice } from './useChoice'

/** Who folds when, in one line; what, from the shelf itself; and a foot that stays in sight with the answer. */
const props = defineProps<{ lesson?: LessonData }>()
const { t } = useI18n()
const { between } = useBounds()
const router = useRouter()
const choice = useChoice(() => props.lesson)
const { form, groups, group, models, slot, unsaved, errors } = choice
const { wish, folds, occasions, does, fitting, others, all } = useWishes({
  group: () => form.value.group,
  minutes: () => slot.value,
})
const learners = computed(() => group.value?.learners.length ?? 0)
const slugs = computed(() => form.value.models.map((one) => one.model))
const chosen = computed(() =>
  slugs.value.flatMap((slug) => models.data.value?.find((one) => one.slug === slug) ?? []),
)
const fit = useLessonFit(() => ({
  group: form.value.group, models: slugs.value, minutes: slot.value, helpers: Number(form.value.helpers),
}))

const sheet = useTemplateRef<HTMLFormElement>('sheet')
const saved = ref(false)
watch(form, () => { saved.value = false }, { deep: true })
async function submit() {
  const lesson = await choice.submit()
  if (!lesson) return showFirstFault(sheet.value)
  if (!props.lesson) return router.push({ name: 'paper', params: { id: lesson.card.id } })
  saved.value = true
}
const problem = computed(
  () => choice.general.value || choice.modelError.value || Object.values(errors.value)[0] || '',
)

/** Enter in the search takes what stands first. */
function takeFirst() {
  const first = fitting.value[0] ?? others.value[0]
  if (wish.value.name.trim() !== '' && first && !choice.isChosen(first.model.slug)) choice.toggle(first.model.slug)
}

/** A new lesson begins with the ways in which this lead teaches a model usually, or chose on its page. */
const usual = computed(() =>
  !props.lesson && form.value.models.some((one) => Object.keys(one.ways ?? {}).length > 0) ? t('choose.usual') : '',
)

const removing = useRemoving((sure) =>
  client.DELETE('/api/lessons/{lesson}', {
    params: { path: { lesson: props.lesson?.card.id ?? 0 }, query: { sure } },
  }),
)
async function remove() {
  if (!(await removing.remove())) return
  unsaved.done()
  await router.push({ name: 'home' })
}
</script>

<template>
  <div :class="{ page: !lesson }">
    <form ref="sheet" class="stack" novalidate @submit.prevent="submit">
      <div class="row">
        <h1>{{ t(lesson ? 'choose.title' : 'choose.new') }}</h1>
        <DraftNote :unsaved="unsaved" />
        <v-btn v-if="lesson" variant="text" class="ml-auto" color="error" @click="remove">{{
          t('choose.remove')
        }}</v-btn>
      </div>
      <span v-if="removing.error.value" class="warn" role="alert">{{ removing.error.value }}</span>
      <p v-if="groups.data.value?.length === 0" class="caution">
        {{ t('choose.noGroups') }} <RouterLink :to="{ name: 'groups' }">{{ t('places.groups') }}</RouterLink>
      </p>
      <div class="sheet fields">
        <v-select
          v-model="form.group"
          class="wide"
          :label="t('choose.group')"
          :items="(groups.data.value ?? []).map((g) => ({ value: g.id, title: `${g.name}, ${g.learners.length}` }))"
          :error-messages="errors['group_id']" />
        <v-text-field v-model="form.day" type="date" :label="t('choose.date')" />
        <v-text-field
          v-model="form.from"
          type="time"
          :label="t('choose.start')"
          :error-messages="errors['starts_at']" />
        <v-text-field v-model="form.until" type="time" :label="t('choose.end')" :error-messages="errors['ends_at']" />
        <v-text-field
          v-model="form.helpers"
          type="number"
          v-bind="between('helpers')"
          :label="t('choose.helpers')"
          :error-messages="errors['helpers']" />
      </div>
      <AskState v-if="!models.data.value" :error="models.error.value" @again="models.refetch()" />
      <section v-else>
        <div class="head">
          <h2>{{ t('choose.model') }}</h2>
          <RouterLink
            v-if="lesson && lesson.card.status !== 'taught'"
            :to="{ name: 'ways', params: { id: lesson.card.id, slug: lesson.card.model } }"
            >{{ t('teaching.link') }}</RouterLink
          >
          <input
            v-model="wish.name"
            type="search"
            class="search"
            :placeholder="t('shelf.search')"
            :aria-label="t('shelf.search')"
            @keydown.enter.prevent="takeFirst" />
        </div>
        <WishSentence
          v-model="wish"
          :folds="folds"
          :occasions="occasions"
          :does="does"
          :has-group="group !== undefined" />
        <ShelfBoard
          :fitting="fitting"
          :others="others"
          :group="group"
          :picked="choice.isChosen"
          @pick="choice.toggle"
          @all="all" />
      </section>
      <ChooseFoot
        :chosen="chosen"
        :fit="fit.data.value"
        :stale="fit.isFetching.value"
        :minutes="slot"
        :learners="learners"
        :label="t(lesson ? 'choose.save' : 'choose.make')"
        :busy="choice.save.isPending.value"
        :problem="problem"
        :saved="saved"
        :note="usual"
        @remove="choice.toggle" />
    </form>
  </div>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: 2fr repeat(4, 1fr); gap: 14px; align-items: start; }
.head { display: flex; flex-wrap: wrap; gap: 8px 24px; align-items: center; }
.search {
  font: inherit; background: var(--paper); border: 0; border-bottom: 3px solid var(--tide); padding: 4px 14px;
  height: 46px; width: 17rem; max-width: 100%; margin-left: auto;
}
/* what has the focus does not come to lie behind the foot */
form :deep(input), form :deep(select) { scroll-margin: 16px 0 140px; }
@media (max-width: 600px) { form :deep(input), form :deep(select) { scroll-margin-bottom: 220px; } }
@media (max-width: 860px) { .fields { grid-template-columns: 1fr 1fr; } .fields .wide { grid-column: 1 / -1; } }
</style>
