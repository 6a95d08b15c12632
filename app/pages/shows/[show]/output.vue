<script setup lang="ts">
/** The Output room: where levels go, every channel as it goes out, and what comes in beside it. */
import { ref, watch } from 'vue'
import { useInput } from '../../../composables/output/useInput'
import { useOutput } from '../../../composables/shell/useOutput'
import { OUTPUT_VIEWS, useInputRoom, type OutputView } from '../../../stores/inputRoom'
import { useOutputRoom } from '../../../stores/outputRoom'
import { useShow } from '../../../stores/show'
import { controlsStatus } from '#core/control/said'
import { trackersStatus } from '#core/tracking/told'
import { useStatusLine } from '../../../composables/shell/useStatusLine'
import ControlsPanel from '../../../components/output/ControlsPanel.vue'
import ControlsView from '../../../components/output/ControlsView.vue'
import TrackersPanel from '../../../components/output/TrackersPanel.vue'
import TrackersView from '../../../components/output/TrackersView.vue'
import InputPanel from '../../../components/output/InputPanel.vue'
import OutputList from '../../../components/output/OutputList.vue'
import OutputPanel from '../../../components/output/OutputPanel.vue'
import ReceivedBeside from '../../../components/output/ReceivedBeside.vue'
import SendingBar from '../../../components/output/SendingBar.vue'
import UniversesIn from '../../../components/output/UniversesIn.vue'
import UniversesOut from '../../../components/output/UniversesOut.vue'

const store = useShow()
const room = useOutputRoom()
const input = useInputRoom()
const { levels, status } = useOutput(() => store.view?.id, ref(true))
const { levels: received, heard } = useInput(() =>
  store.view && input.isListening ? { show: store.view.id, from: input.from, first: input.first } : null,
)
/** The line of a part of the room, while that is looked at. */
const lineOf = (view: OutputView, path: string) => () =>
  store.view && input.view === view ? `/api/shows/${store.view.id}/${path}` : null
const trackers = useStatusLine(lineOf('trackers', 'trackers'), trackersStatus)
const controls = useStatusLine(lineOf('controls', 'controls'), controlsStatus)
/** What the panel on the right is about. */
const ABOUT: Readonly<Record<OutputView, string>> = {
  out: 'Output looked at',
  in: 'What comes in',
  beside: 'What comes in',
  trackers: 'Trackers',
  controls: 'Controls',
}
watch(
  [levels, received, heard],
  () => ([input.ours, input.heardLevels, input.heard] = [levels.value, received.value, heard.value]),
  { immediate: true },
)
</script>

<template>
  <main v-if="store.view" class="grid min-h-0 grid-cols-[300px_minmax(0,1fr)_310px] grid-rows-[minmax(0,1fr)_auto]">
    <aside class="row-span-2 flex min-h-0 flex-col border-r border-rule bg-deck" aria-label="Outputs of the show">
      <OutputList class="min-h-0 flex-1" :status="status" />
    </aside>
    <section
      class="flex min-h-0 flex-col bg-night"
      :aria-label="OUTPUT_VIEWS.find(({ key }) => key === input.view)?.name"
    >
      <nav class="flex shrink-0 border-b border-rule bg-deck px-3 py-1.5" aria-label="Parts of the room">
        <SwitchField
          label="Seen as"
          :options="OUTPUT_VIEWS"
          :value="input.view"
          @choose="(key) => (input.view = key)"
        />
      </nav>
      <UniversesIn v-if="input.view === 'in'" class="flex-1" :show="store.view" />
      <ReceivedBeside v-else-if="input.view === 'beside'" class="flex-1" :show="store.view" />
      <TrackersView v-else-if="input.view === 'trackers'" class="flex-1" :show="store.view" :status="trackers" />
      <ControlsView v-else-if="input.view === 'controls'" class="flex-1" :show="store.view" :status="controls" />
      <UniversesOut
        v-else-if="room.chosen"
        class="flex-1"
        :show="store.view"
        :output="room.chosen.output"
        :levels="levels"
      />
      <p v-else class="m-auto max-w-sm p-6 text-center text-mist">
        Add an output on the left: what every channel is worth as it goes out is seen here.
      </p>
    </section>
    <aside class="row-span-2 min-h-0 overflow-y-auto border-l border-rule bg-deck" :aria-label="ABOUT[input.view]">
      <InputPanel v-if="input.isListening" />
      <TrackersPanel v-else-if="input.view === 'trackers'" :show="store.view" :status="trackers" />
      <ControlsPanel v-else-if="input.view === 'controls'" :show="store.view" :status="controls" />
      <OutputPanel v-else-if="room.chosen" :id="room.chosen.id" :output="room.chosen.output" />
    </aside>
    <SendingBar v-if="status && status.by === 'here'" :status="status" />
  </main>
</template>
