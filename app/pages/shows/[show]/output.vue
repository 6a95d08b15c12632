<script setup lang="ts">
/** The Output room: where levels go, and every channel as it goes out. */
import { ref } from 'vue'
import { useOutput } from '../../../composables/shell/useOutput'
import { useOutputRoom } from '../../../stores/outputRoom'
import { useShow } from '../../../stores/show'
import OutputList from '../../../components/output/OutputList.vue'
import OutputPanel from '../../../components/output/OutputPanel.vue'
import SendingBar from '../../../components/output/SendingBar.vue'
import UniversesOut from '../../../components/output/UniversesOut.vue'

const store = useShow()
const room = useOutputRoom()
const { levels, status } = useOutput(() => store.view?.id, ref(true))
</script>

<template>
  <main v-if="store.view" class="grid min-h-0 grid-cols-[300px_minmax(0,1fr)_310px] grid-rows-[minmax(0,1fr)_auto]">
    <aside class="row-span-2 flex min-h-0 flex-col border-r border-rule bg-deck" aria-label="Outputs of the show">
      <OutputList class="min-h-0 flex-1" :status="status" />
    </aside>
    <section class="flex min-h-0 flex-col bg-night" aria-label="As it goes out">
      <UniversesOut
        v-if="room.chosen"
        class="flex-1"
        :show="store.view"
        :output="room.chosen.output"
        :levels="levels"
      />
      <p v-else class="m-auto max-w-sm p-6 text-center text-mist">
        Add an output on the left: what every channel is worth as it goes out is seen here.
      </p>
    </section>
    <aside class="row-span-2 min-h-0 overflow-y-auto border-l border-rule bg-deck" aria-label="Output looked at">
      <OutputPanel v-if="room.chosen" :id="room.chosen.id" :output="room.chosen.output" />
    </aside>
    <SendingBar v-if="status && status.by === 'here'" :status="status" />
  </main>
</template>
