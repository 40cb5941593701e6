<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useGroups, useNextModels } from '../api/groups'
import { useModels } from '../api/models'
import FitOf from '../pacing/FitOf.vue'
import FoldPicture from '../parts/FoldPicture.vue'

/** What the group could fold next, and why, each with its picture. */
const props = defineProps<{ group: number }>()
const { t } = useI18n()
const next = useNextModels(() => props.group)
const models = useModels()
const groups = useGroups()
const learners = computed(() => groups.data.value?.find((one) => one.id === props.group)?.learners.length ?? 0)
const list = computed(() =>
  (next.data.value ?? []).flatMap((one) => {
    const model = models.data.value?.find((m) => m.slug === one.slug)
    return model ? [{ ...one, picture: model.picture }] : []
  }),
)
</script>

<template>
  <section v-if="list.length" class="sheet no-print">
    <h2>{{ t('keep.next') }}</h2>
    <ul class="list">
      <li v-for="one in list" :key="one.slug">
        <span class="picture"><FoldPicture :drawing="one.picture" :title="one.title" /></span>
        <span>
          <RouterLink :to="{ name: 'model', params: { slug: one.slug } }"
            ><b>{{ one.title }}</b></RouterLink
          >
          <span class="why">{{ one.why }}</span>
          <FitOf :fit="one.fit" :slot-minutes="60" :learners="learners" />
          <RouterLink :to="{ name: 'new-lesson', query: { model: one.slug } }">{{ t('keep.plan') }}</RouterLink>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.sheet { padding: 14px 20px 18px; }
ul { display: grid; grid-template-columns: repeat(auto-fit, minmax(280px, 1fr)); gap: 14px 28px; margin-top: 8px; }
li { display: grid; grid-template-columns: 92px 1fr; gap: 14px; align-items: start; }
.picture { height: 84px; }
.why { display: block; color: var(--ink-2); }
a { color: var(--tide-deep); }
</style>
