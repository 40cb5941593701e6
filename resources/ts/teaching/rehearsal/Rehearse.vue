<script setup lang="ts">
import { computed, ref } from 'vue'
import { useCast, useLesson } from '../../api/lessons'
import AskState from '../../parts/AskState.vue'
import RehearsedStage from './RehearsedStage.vue'

/** The lesson before it is taught: the stage, with learners who are simulated. Another try has other chance. */
const props = defineProps<{ id: number }>()
const seed = ref(1)
const lesson = useLesson(() => props.id)
const cast = useCast(() => props.id, seed)
const ready = computed(() => lesson.data.value !== undefined && cast.data.value !== undefined)
</script>

<template>
  <AskState v-if="!ready" :error="lesson.error.value ?? cast.error.value" @again="cast.refetch()" />
  <RehearsedStage
    v-else-if="lesson.data.value && cast.data.value"
    :key="seed"
    :lesson="lesson.data.value"
    :cast="cast.data.value"
    @again="seed++" />
</template>
