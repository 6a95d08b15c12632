/** Which table holds which kind, and which columns its fields. */
import { ENTITY_SCHEMAS, type EntityOf, type Kind } from '#core/show/entities'
import type { z } from 'zod'
import { decimal, json, optional, parts, plain, point, whole, type Column, type Row } from './columns'

interface Table<K extends Kind> {
  readonly name: string
  readonly columns: { readonly [F in keyof EntityOf[K]]: Column }
}

const AXIS = ['min', 'max', 'speed', 'acceleration', 'reversed']
const value = { attribute: plain('attribute'), value: json('value') }

const TABLES: { readonly [K in Kind]: Table<K> } = {
  show: {
    name: 'show_record',
    columns: { name: plain('name'), venue: plain('venue'), rest: plain('rest'), highlight: plain('highlight') },
  },
  person: {
    name: 'person',
    columns: {
      name: plain('name'),
      take: plain('take'),
      heldBack: plain('held_back'),
      takeOnce: plain('take_once'),
      usual: optional({ take: plain('usual_take'), heldBack: plain('usual_held_back') }),
      editing: plain('editing'),
      neutral: plain('neutral'),
      neutralOnce: plain('neutral_once'),
      usualNeutral: plain('usual_neutral'),
      blind: plain('blind'),
      highlight: plain('highlight'),
    },
  },
  fixtureType: {
    name: 'fixture_type',
    columns: {
      maker: plain('maker'),
      name: plain('name'),
      form: plain('form'),
      pan: parts('pan', AXIS),
      tilt: parts('tilt', AXIS),
      pivotDrop: plain('pivot_drop'),
      lens: parts('lens', ['across', 'normal', 'forward']),
      optics: json('optics'),
      wheels: json('wheels'),
      has: plain('has'),
    },
  },
  fixtureMode: {
    name: 'fixture_mode',
    columns: { type: plain('type'), name: plain('name'), order: plain('order'), channels: json('channels') },
  },
  venue: {
    name: 'venue',
    columns: {
      name: plain('name'),
      outline: json('outline'),
      opening: parts('opening', ['width', 'height', 'depth']),
      keepClear: json('keep_clear'),
      levels: json('levels'),
    },
  },
  hang: { name: 'hang', columns: { name: plain('name'), form: plain('form') } },
  hangPlace: {
    name: 'hang_place',
    columns: {
      venue: plain('venue'),
      hang: plain('hang'),
      origin: point('origin'),
      yaw: plain('yaw'),
      rise: plain('rise'),
      length: plain('length'),
    },
  },
  fixture: {
    name: 'fixture',
    columns: {
      number: plain('number'),
      name: plain('name'),
      type: plain('type'),
      mode: plain('mode'),
      universe: plain('universe'),
      address: plain('address'),
      note: plain('note'),
    },
  },
  fixturePlace: {
    name: 'fixture_place',
    columns: {
      venue: plain('venue'),
      fixture: plain('fixture'),
      hang: plain('hang'),
      along: plain('along'),
      out: plain('out'),
      drop: plain('drop'),
      yaw: plain('yaw'),
      pitch: plain('pitch'),
      roll: plain('roll'),
    },
  },
  layer: { name: 'layer', columns: { name: plain('name'), visible: plain('visible'), locked: plain('locked') } },
  setPiece: {
    name: 'set_piece',
    columns: { name: plain('name'), solids: json('solids'), layer: plain('layer') },
  },
  setPiecePlace: {
    name: 'set_piece_place',
    columns: { venue: plain('venue'), setPiece: plain('set_piece'), position: point('position'), yaw: plain('yaw') },
  },
  target: {
    name: 'target',
    columns: { name: plain('name'), form: json('form'), setPiece: plain('set_piece'), local: json('local') },
  },
  targetPlace: {
    name: 'target_place',
    columns: { venue: plain('venue'), target: plain('target'), position: point('position') },
  },
  group: {
    name: 'group',
    columns: {
      number: decimal('number'),
      name: plain('name'),
      colour: plain('colour'),
      pattern: json('pattern'),
    },
  },
  groupMember: {
    name: 'group_member',
    columns: { group: plain('group'), fixture: plain('fixture'), order: plain('order') },
  },
  palette: {
    name: 'palette',
    columns: {
      number: decimal('number'),
      name: plain('name'),
      colour: plain('colour'),
      symbol: plain('symbol'),
      shelf: plain('shelf'),
      take: plain('take'),
      heldBack: plain('held_back'),
      note: plain('note'),
      time: plain('time'),
    },
  },
  paletteSpread: {
    name: 'palette_spread',
    columns: { palette: plain('palette'), group: plain('group'), target: plain('target'), lay: plain('lay') },
  },
  shelfMask: { name: 'shelf_mask', columns: { take: plain('take'), heldBack: plain('held_back') } },
  paletteValue: {
    name: 'palette_value',
    columns: { palette: plain('palette'), fixture: plain('fixture'), fixtureType: plain('fixture_type'), ...value },
  },
  cueList: {
    name: 'cue_list',
    columns: {
      number: decimal('number'),
      name: plain('name'),
      intensityRule: plain('intensity_rule'),
      priority: plain('priority'),
      level: plain('level'),
      take: plain('take'),
      heldBack: plain('held_back'),
      onStage: plain('on_stage'),
      pausedAt: whole('paused_at'),
    },
  },
  cue: {
    name: 'cue',
    columns: {
      list: plain('list'),
      number: decimal('number'),
      name: plain('name'),
      note: plain('note'),
      rise: plain('rise'),
      fall: plain('fall'),
      move: plain('move'),
      delay: plain('delay'),
      follow: plain('follow'),
      travel: plain('travel'),
    },
  },
  cueValue: {
    name: 'cue_value',
    columns: { cue: plain('cue'), fixture: plain('fixture'), ...value, mark: plain('mark'), source: plain('source') },
  },
  cueTime: {
    name: 'cue_time',
    columns: {
      cue: plain('cue'),
      fixture: plain('fixture'),
      family: plain('family'),
      seconds: plain('seconds'),
      delay: plain('delay'),
    },
  },
  cueRun: {
    name: 'cue_run',
    columns: {
      list: plain('list'),
      cue: plain('cue'),
      from: plain('from'),
      startedAt: whole('started_at'),
      seconds: plain('seconds'),
      settled: plain('settled'),
      order: plain('order'),
    },
  },
  handValue: {
    name: 'hand_value',
    columns: {
      person: plain('person'),
      fixture: plain('fixture'),
      ...value,
      source: plain('source'),
      arrival: optional({
        startedAt: whole('arrival_started_at'),
        seconds: plain('arrival_seconds'),
        from: json('arrival_from'),
      }),
    },
  },
  highlighted: { name: 'highlighted', columns: { person: plain('person'), fixture: plain('fixture') } },
  workingSet: { name: 'working_set', columns: { name: plain('name') } },
  recordedFixture: {
    name: 'recorded_fixture',
    columns: { palette: plain('palette'), fixture: plain('fixture') },
  },
  workingSetMember: {
    name: 'working_set_member',
    columns: { workingSet: plain('working_set'), fixture: plain('fixture') },
  },
}

export function tableName(kind: Kind): string {
  return TABLES[kind].name
}

/** An entity as a row, without its keys. */
export function toRow<K extends Kind>(kind: K, entity: EntityOf[K]): Row {
  const columns: Readonly<Record<string, Column>> = TABLES[kind].columns
  const row: Row = {}
  for (const [field, column] of Object.entries(columns)) Object.assign(row, column.write(Reflect.get(entity, field)))
  return row
}

const SCHEMAS: { readonly [K in Kind]: z.ZodType<EntityOf[K]> } = ENTITY_SCHEMAS

/** The columns of a kind besides its keys. */
export function columnNames(kind: Kind): string[] {
  const columns: Readonly<Record<string, Column>> = TABLES[kind].columns
  return Object.values(columns).flatMap(({ names }) => names)
}

/** Reads rows of a kind as entities; throws ZodError when the database holds what the show cannot. */
export function rowReader<K extends Kind>(kind: K): (row: Row) => EntityOf[K] {
  const columns: Readonly<Record<string, Column>> = TABLES[kind].columns
  const fields = Object.entries(columns)
  const schema = SCHEMAS[kind]
  return (row) => {
    const entity: Row = {}
    for (const [field, column] of fields) entity[field] = column.read(row)
    return schema.parse(entity)
  }
}
