<script setup lang="ts">
/** The show menu: other shows, venues, a new show, import, theme. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Check, ChevronDown } from '@lucide/vue'
import { computed, ref } from 'vue'
import { asVenueId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'
import { request } from '../../session/request'
import { showList } from '../../session/responses'
import { useTheme } from '../../composables/shell/useTheme'
import { STAGE_FILES } from '#core/exchange/drawing/stageFiles'
import { DIALOG_NAMES, useDialogs } from '../../stores/dialogs'
import { useProposal } from '../../stores/proposal'
import { framePainted } from '../../session/afterNextFrame'
import { useShow } from '../../stores/show'
import SeenTablesDialog from '../exchange/SeenTablesDialog.vue'
import TablesDialog from '../exchange/TablesDialog.vue'
import HistoryDialog from './HistoryDialog.vue'
import PeopleDialog from './PeopleDialog.vue'
import RestoreDialog from './RestoreDialog.vue'
import NewShowDialog from './NewShowDialog.vue'

const props = defineProps<{ show: Show }>()
const proposal = useProposal()
const store = useShow()
const dialogs = useDialogs()
const theme = useTheme()
const shows = ref<{ id: string; name: string; venue: string }[]>([])

const record = computed(() => showRecordOf(props.show))
const venues = computed(() => [...props.show.all.venue].map(([id, venue]) => ({ id, name: venue.name })))
const venueName = computed(() => props.show.all.venue.get(record.value.venue)?.name ?? '')

async function look() {
  const answered = await request('/api/shows', showList)
  if (answered.ok) shows.value = answered.body.shows
}

function playAt(id: string) {
  if (id === record.value.venue) return
  proposal.propose('switchVenue', { venue: asVenueId(id) }, true)
  void leaveMenu()
}
/** The menu gives the focus back to its button, which would answer the Enter that keeps what is proposed. */
async function leaveMenu() {
  await framePainted()
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
}
/** How fades of this show go where nothing else is said. */
const choices = computed(() => [
  {
    name: 'Colours fade',
    chosen: record.value.colourFade === 'by look' ? 'as they look' : 'part by part',
    options: [
      { name: 'as they look', change: { colourFade: 'by look' as const } },
      { name: 'part by part', change: { colourFade: 'by parts' as const } },
    ],
  },
  {
    name: 'Light travels',
    chosen: record.value.travel === 'angle' ? 'by angle' : 'straight',
    options: [
      { name: 'by angle', change: { travel: 'angle' as const } },
      { name: 'straight', change: { travel: 'straight' as const } },
    ],
  },
])
const item = (active: boolean) => [
  'flex w-full items-center gap-2 rounded px-2 py-1 text-left',
  active ? 'bg-plank-2' : '',
]
</script>

<template>
  <Menu as="div" class="relative max-w-76 min-w-40">
    <MenuButton class="flex max-w-full items-center gap-1 rounded-md px-1.5 py-1 hover:bg-plank-2" @click="look">
      <span class="truncate font-semibold">{{ record.name }}</span>
      <span class="truncate text-mist">at {{ venueName }}</span>
      <ChevronDown :size="14" class="shrink-0 text-mist" aria-hidden="true" />
      <span class="sr-only">, show menu</span>
    </MenuButton>
    <MenuItems
      class="absolute left-0 z-30 mt-1 max-h-[80vh] w-64 overflow-y-auto rounded-lg border border-rule-2 bg-plank p-1.5 shadow-lg shadow-night/60 focus:outline-none"
    >
      <p class="px-2 pt-1 text-xs text-haze">Plays at</p>
      <MenuItem v-for="venue in venues" :key="venue.id" v-slot="{ active }">
        <button type="button" :class="item(active)" @click="playAt(venue.id)">
          <Check :size="14" :class="venue.id === record.venue ? 'text-kelp' : 'invisible'" aria-hidden="true" />{{
            venue.name
          }}
        </button>
      </MenuItem>
      <p class="px-2 pt-2 text-xs text-haze">Shows</p>
      <MenuItem v-for="other in shows" :key="other.id" v-slot="{ active }">
        <NuxtLink :to="`/shows/${other.id}/focus`" :class="item(active)">
          <Check :size="14" :class="other.id === show.id ? 'text-kelp' : 'invisible'" aria-hidden="true" />{{
            other.name
          }}
        </NuxtLink>
      </MenuItem>
      <template v-for="{ name, options, chosen } in choices" :key="name">
        <p class="px-2 pt-2 text-xs text-haze">{{ name }}</p>
        <MenuItem v-for="option in options" :key="option.name" v-slot="{ active }">
          <button type="button" :class="item(active)" @click="store.send('changeShow', option.change)">
            <Check :size="14" :class="option.name === chosen ? 'text-kelp' : 'invisible'" aria-hidden="true" />{{
              option.name
            }}
          </button>
        </MenuItem>
      </template>
      <div class="my-1 border-t border-rule" role="separator" />
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'new show'">
          {{ DIALOG_NAMES['new show'] }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'tables'">
          {{ DIALOG_NAMES.tables }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'rig file'">
          {{ DIALOG_NAMES['rig file'] }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'cue text'">
          {{ DIALOG_NAMES['cue text'] }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'seen tables'">
          {{ DIALOG_NAMES['seen tables'] }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><a :href="`/api/shows/${show.id}/rig`" download :class="item(active)"
          >Write the rig to a file (MVR)</a
        ></MenuItem
      >
      <div class="flex items-center">
        <span class="flex-1 px-2 text-mist">Write the stage as</span>
        <MenuItem v-for="as in STAGE_FILES" :key="as" v-slot="{ active }"
          ><a
            :href="`/api/shows/${show.id}/stage?as=${as}`"
            download
            :aria-label="`Write the stage as ${as.toUpperCase()}`"
            class="rounded-md px-2 py-1"
            :class="active ? 'bg-plank-2' : ''"
            >{{ as.toUpperCase() }}</a
          ></MenuItem
        >
      </div>
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'history'">
          {{ DIALOG_NAMES.history }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'people'">
          {{ DIALOG_NAMES.people }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><a :href="`/api/shows/${show.id}/backup`" download :class="item(active)">Back up to a file</a></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><a :href="`/api/shows/${show.id}/open`" download :class="item(active)">Write as plain JSON</a></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'restore'">
          {{ DIALOG_NAMES.restore }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'guide'">
          {{ DIALOG_NAMES.guide }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }"
        ><button type="button" :class="item(active)" @click="dialogs.open = 'keys'">
          {{ DIALOG_NAMES.keys }}
        </button></MenuItem
      >
      <MenuItem v-slot="{ active }">
        <button type="button" :class="item(active)" @click="theme.toggle()">
          {{ theme.isPaper.value ? 'Night theme' : 'Paper theme' }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
  <TablesDialog :open="dialogs.open === 'tables'" :show="show" @close="dialogs.close()" />
  <LazyRigFileDialog v-if="dialogs.open === 'rig file'" open :show="show" @close="dialogs.close()" />
  <SeenTablesDialog :open="dialogs.open === 'seen tables'" @close="dialogs.close()" />
  <LazyCueTextDialog v-if="dialogs.open === 'cue text'" open :show="show" @close="dialogs.close()" />
  <LazyGuideDialog v-if="dialogs.open === 'guide'" open @close="dialogs.close()" />
  <HistoryDialog :open="dialogs.open === 'history'" :show="show" @close="dialogs.close()" />
  <PeopleDialog :open="dialogs.open === 'people'" :show="show" @close="dialogs.close()" />
  <RestoreDialog :open="dialogs.open === 'restore'" @close="dialogs.close()" />
  <NewShowDialog :open="dialogs.open === 'new show'" @close="dialogs.close()" />
</template>
