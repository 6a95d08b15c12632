/**
 * The database refuses what would not open: JSON values of another shape, ids that are not what
 * their parts make, fixtures on hangs that are not up in their venue. Rows of before are left as they are.
 */
import { forward } from './forward'

/** A function that says whether a JSON value has a shape; nothing that is unknown passes. */
const shape = (name: string, test: string) =>
  `create function fits_${name}(v jsonb) returns boolean language sql immutable parallel safe as $$ select coalesce(${test}, false) $$`

const number = (value: string, low: number, high: number) =>
  `(jsonb_typeof(${value}) = 'number' and (${value} #>> '{}')::numeric between ${low} and ${high})`
const metres = (value: string) => number(value, -1000, 1000)
const degrees = (value: string) => number(value, -3600, 3600)
const size = (value: string) => number(value, 0, 1000)
const text = (value: string) => `jsonb_typeof(${value}) = 'string'`
const listOf = (value: string, each: string, least = 0) =>
  `(jsonb_typeof(${value}) = 'array' and jsonb_array_length(${value}) >= ${least}
    and not exists (select from jsonb_array_elements(${value}) e where not fits_${each}(e)))`
/** A list is looked through only where it is one. */
const guardedList = (value: string, each: string, least = 0) =>
  `case jsonb_typeof(${value}) when 'array' then ${listOf(value, each, least)} else false end`

const SHAPES = [
  shape('point', `${metres(`v->'x'`)} and ${metres(`v->'y'`)} and ${metres(`v->'z'`)}`),
  shape('corner', `${metres(`v->'x'`)} and ${metres(`v->'y'`)}`),
  shape('outline', guardedList('v', 'corner', 3)),
  shape('area', `${text(`v->'name'`)} and fits_outline(v->'outline')`),
  shape('areas', guardedList('v', 'area')),
  shape(
    'level',
    `fits_area(v) and ${metres(`v->'height'`)} and ${number(`v#>'{rake,percent}'`, 0, 100)} and ${degrees(`v#>'{rake,bearing}'`)}`,
  ),
  shape('levels', guardedList('v', 'level')),
  shape(
    'solid',
    `${size(`v->'height'`)} and (not jsonb_exists(v, 'at') or fits_corner(v->'at')) and case v->>'kind'
      when 'box' then ${size(`v->'width'`)} and ${size(`v->'depth'`)}
      when 'cylinder' then ${size(`v->'radius'`)}
      when 'prism' then fits_outline(v->'outline')
      when 'steps' then ${size(`v->'width'`)} and ${size(`v->'depth'`)} and ${number(`v->'count'`, 1, 100)}
      when 'flat' then ${size(`v->'width'`)} and ${size(`v->'thickness'`)}
      when 'person' then true end`,
  ),
  shape('solids', guardedList('v', 'solid', 1)),
  shape(
    'form',
    `case v->>'kind' when 'point' then true when 'line' then fits_point(v->'to') when 'ring' then ${size(`v->'radius'`)} end`,
  ),
  shape(
    'lens',
    `${number(`v->'beam'`, 0, 160)} and ${number(`v->'field'`, 0, 170)} and ${number(`v->'candela'`, 0, 1e9)}`,
  ),
  shape('optics', guardedList('v', 'lens', 1)),
  shape('slot', `${text(`v->'name'`)}`),
  shape(
    'wheel',
    `v->>'kind' in ('colour','gobo') and ${text(`v->'name'`)} and ${guardedList(`v->'slots'`, 'slot', 2)}`,
  ),
  shape('wheels', guardedList('v', 'wheel')),
  shape(
    'channel',
    `${text(`v->'name'`)} and ${text(`v->'does'`)} and ${number(`v->'coarse'`, 1, 512)}
      and (v->'fine' = 'null' or ${number(`v->'fine'`, 1, 512)})
      and ${number(`v->'from'`, -1e6, 1e6)} and ${number(`v->'to'`, -1e6, 1e6)} and ${number(`v->'rest'`, -1e6, 1e6)}`,
  ),
  shape('channels', guardedList('v', 'channel', 1)),
  shape(
    'pattern',
    `case v->>'kind' when 'every' then ${number(`v->'nth'`, 1, 1000)} when 'runs' then ${number(`v->'length'`, 1, 1000)}
      when 'parts' then ${number(`v->'count'`, 1, 1000)} when 'pairs' then true when 'single' then true end`,
  ),
  shape('elsewhere', `${text(`v->'venue'`)} and fits_point(v->'offset')`),
  shape('elsewheres', guardedList('v', 'elsewhere')),
]

const inPoint = (value: string, axis: string) => metres(`${value}#>'{offset,${axis}}'`)
/** Written out where it is asked, because a show has hundreds of thousands of these and a call costs most. */
const VALUE_FITS = (v: string) => `coalesce(case ${v}->>'kind'
  when 'link' then ${text(`${v}->'palette'`)}
  when 'number' then jsonb_typeof(${v}->'number') = 'number'
  when 'aim' then jsonb_typeof(${v}->'target') in ('string','null') and (${v}->'at' = 'null' or ${number(`${v}->'at'`, 0, 1)})
    and ${inPoint(v, 'x')} and ${inPoint(v, 'y')} and ${inPoint(v, 'z')}
    and case when jsonb_exists(${v}, 'elsewhere') then fits_elsewheres(${v}->'elsewhere') else true end
    and (${v}->'choice' = 'null' or ${v}#>>'{choice,side}' in ('positive','negative') and ${degrees(`${v}#>'{choice,pan}'`)})
  when 'angles' then ${degrees(`${v}->'pan'`)} and ${degrees(`${v}->'tilt'`)}
  when 'pool' then ${number(`${v}->'diameter'`, 0, 200)}
  when 'rest' then true end, false)`
const VALUED: readonly (readonly [table: string, column: string])[] = [
  ['palette_value', 'value'],
  ['cue_value', 'value'],
  ['hand_value', 'value'],
  ['hand_value', 'arrival_from'],
]

const FITTING: readonly (readonly [table: string, column: string, shape: string])[] = [
  ['venue', 'outline', 'outline'],
  ['venue', 'keep_clear', 'areas'],
  ['venue', 'levels', 'levels'],
  ['set_piece', 'solids', 'solids'],
  ['target', 'form', 'form'],
  ['target', 'local', 'point'],
  ['fixture_type', 'optics', 'optics'],
  ['fixture_type', 'wheels', 'wheels'],
  ['fixture_mode', 'channels', 'channels'],
  ['"group"', 'pattern', 'pattern'],
]

const JOINED: readonly (readonly [table: string, id: string])[] = [
  ['hang_place', `venue || '.' || hang`],
  ['fixture_place', `venue || '.' || fixture`],
  ['set_piece_place', `venue || '.' || set_piece`],
  ['target_place', `venue || '.' || target`],
  ['group_member', `"group" || '.' || fixture`],
  ['working_set_member', `working_set || '.' || fixture`],
  ['highlighted', `person || '.' || fixture`],
  ['recorded_fixture', `palette || '.' || fixture`],
  ['hand_value', `person || '.' || fixture || '.' || attribute`],
  ['cue_value', `cue || '.' || fixture || '.' || attribute`],
  ['cue_time', `cue || '.' || coalesce(fixture, 'all') || '.' || coalesce(family, 'all')`],
  ['palette_value', `palette || coalesce('.own.' || fixture, '.kind.' || fixture_type, '.any') || '.' || attribute`],
]

const plainName = (table: string) => table.replaceAll('"', '')

const STATEMENTS = [
  ...SHAPES,
  ...FITTING.map(
    ([table, column, fits]) =>
      `alter table ${table} add constraint ${plainName(table)}_${column}_fits check (${column} is null or fits_${fits}(${column})) not valid`,
  ),
  ...VALUED.map(
    ([table, column]) =>
      `alter table ${table} add constraint ${table}_${column}_fits check (${column} is null or ${VALUE_FITS(column)}) not valid`,
  ),
  ...JOINED.map(
    ([table, id]) => `alter table ${table} add constraint ${table}_has_its_id check (id = ${id}) not valid`,
  ),
  `alter table hang_place add constraint hang_place_up unique (show_id, venue, hang)`,
  `alter table fixture_place add constraint fixture_place_hung foreign key (show_id, venue, hang)
    references hang_place (show_id, venue, hang) deferrable initially deferred not valid`,
  `create index on fixture_place (show_id, venue, hang)`,
]

export const { up, down } = forward(STATEMENTS)
