<script setup lang="ts">
/** The Paper room: what is printed, chosen and in order, and every page of it before it is. */
import { onMounted, onUnmounted } from 'vue'
import PaperList from '../../../components/paper/PaperList.vue'
import PaperPreview from '../../../components/paper/PaperPreview.vue'
import { usePaperRoom } from '../../../stores/paperRoom'
import { useShow } from '../../../stores/show'

const store = useShow()
const room = usePaperRoom()
onMounted(() => {
  if (room.made === null || room.isOld) void room.look()
})
onUnmounted(() => room.stop())
</script>

<template>
  <main v-if="store.view" class="grid min-h-0 grid-cols-[320px_minmax(0,1fr)]">
    <aside class="flex min-h-0 flex-col border-r border-rule bg-deck" aria-label="What is printed">
      <PaperList :show="store.view" />
    </aside>
    <PaperPreview class="min-h-0 bg-night" />
  </main>
</template>
