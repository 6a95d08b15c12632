/**
 * What a fixture can do is no list of fifteen any more: attributes by catalogue and under names of
 * their own, ranges of types, channels that do several things over their levels, values that spin.
 * Channels of before do one thing over all their levels, in the journal too.
 */
import { forward } from './forward'
import { journalledField } from './journalledField'

const several = (key: string, most: number) => [key, ...Array.from({ length: most - 1 }, (_, i) => `${key}${i + 2}`)]
const TURNS = [...several('prismTurn', 2), ...several('goboTurn', 4), ...several('animationTurn', 2)]
const ATTRIBUTES = [
  ...['intensity', 'strobe', 'strobePulse', 'strobeRandom', 'position', 'headPace', 'zoom', 'edge', 'iris'],
  ...several('frost', 2),
  ...several('prism', 2),
  ...several('prismPlace', 2),
  ...['beamPace', 'red', 'green', 'blue', 'temperature', 'tint'],
  ...several('colourWheel', 3),
  ...several('colourSpin', 3),
  'colourPace',
  ...several('gobo', 4),
  ...several('goboShake', 4),
  ...several('goboSpin', 4),
  ...several('animation', 2),
  'goboPace',
  ...['Top', 'Right', 'Bottom', 'Left'].flatMap((side) => [`shutter${side}`, `shutter${side}Angle`]),
  'frameTurn',
  ...TURNS,
]
const listed = (names: readonly string[]) => names.map((name) => `'${name}'`).join(',')
const FAMILIES = 'intensity|position|beam|colour|gobo|shutters'

const number = (value: string, low: number, high: number) =>
  `(jsonb_typeof(${value}) = 'number' and (${value} #>> '{}')::numeric between ${low} and ${high})`
const or = (value: string, test: string) => `(${value} = 'null' or ${test})`
const text = (value: string) => `jsonb_typeof(${value}) = 'string'`
const truth = (value: string) => `jsonb_typeof(${value}) = 'boolean'`
const physical = (value: string) => number(value, -1e6, 1e6)
const place = (value: string) => number(value, 1, 512)
const inPoint = (axis: string, v: string) => number(`${v}#>'{offset,${axis}}'`, -1000, 1000)
const degrees = (value: string) => number(value, -3600, 3600)
const all = (value: string, each: string, least: number) =>
  `case jsonb_typeof(${value}) when 'array' then jsonb_array_length(${value}) >= ${least}
    and not exists (select from jsonb_array_elements(${value}) e where not fits_${each}(e)) else false end`

/** Says whether a JSON value has a shape; one that was there is told anew. */
const shape = (name: string, test: string) =>
  `create or replace function fits_${name}(v jsonb) returns boolean language sql immutable parallel safe as $$ select coalesce(${test}, false) $$`

const SHAPES = [
  `create function is_attribute(a text) returns boolean language sql immutable parallel safe as $$
    select a in (${listed(ATTRIBUTES)}) or (length(a) <= 60 and a ~ '^extra:(${FAMILIES}):[^[:space:]/._]+(_[^[:space:]/._]+)*$') $$`,
  `create function are_attributes(list text[]) returns boolean language sql immutable parallel safe as $$
    select not exists (select from unnest(list) a where not is_attribute(a)) $$`,
  shape(
    'wheel',
    `v->>'kind' in ('colour','gobo','prism') and ${text(`v->'name'`)} and ${all(`v->'slots'`, 'slot', 2)}`,
  ),
  shape(
    'range',
    `is_attribute(v->>'attribute') and ${physical(`v->'min'`)} and ${physical(`v->'max'`)}
      and ${or(`v->'rest'`, physical(`v->'rest'`))} and ${or(`v->'fastest'`, number(`v->'fastest'`, 0, 1000))}`,
  ),
  shape('ranges', all('v', 'range', 0)),
  shape(
    'function',
    `${text(`v->'name'`)} and ${text(`v->'does'`)} and ${number(`v->'first'`, 0, 255)} and ${number(`v->'last'`, 0, 255)}
      and ${physical(`v->'from'`)} and ${physical(`v->'to'`)} and ${truth(`v->'spins'`)}
      and ${or(`v->'when'`, `is_attribute(v#>>'{when,attribute}') and ${physical(`v#>'{when,number}'`)}`)}`,
  ),
  shape(
    'channel',
    `${text(`v->'name'`)} and ${place(`v->'coarse'`)} and ${or(`v->'fine'`, place(`v->'fine'`))}
      and ${or(`v->'finest'`, place(`v->'finest'`))} and ${all(`v->'functions'`, 'function', 1)}
      and ${physical(`v->'rest'`)} and ${or(`v->'highlight'`, physical(`v->'highlight'`))}
      and v->>'curve' in ('even','slow at first','fast at first','slow at both ends')
      and ${truth(`v->'dims'`)} and ${truth(`v->'snaps'`)} and ${or(`v->'follows'`, text(`v->'follows'`))}`,
  ),
]

const FITS = (v: string) => `coalesce(case ${v}->>'kind'
  when 'link' then ${text(`${v}->'palette'`)}
  when 'number' then jsonb_typeof(${v}->'number') = 'number'
  when 'spin' then ${number(`${v}->'rpm'`, -1000, 1000)}
  when 'aim' then jsonb_typeof(${v}->'target') in ('string','null') and ${or(`${v}->'at'`, number(`${v}->'at'`, 0, 1))}
    and ${inPoint('x', v)} and ${inPoint('y', v)} and ${inPoint('z', v)}
    and case when jsonb_exists(${v}, 'elsewhere') then fits_elsewheres(${v}->'elsewhere') else true end
    and ${or(`${v}->'choice'`, `${v}#>>'{choice,side}' in ('positive','negative') and ${degrees(`${v}#>'{choice,pan}'`)}`)}
  when 'angles' then ${degrees(`${v}->'pan'`)} and ${degrees(`${v}->'tilt'`)}
  when 'pool' then ${number(`${v}->'diameter'`, 0, 200)}
  when 'rest' then true end, false)`

/** Which values an attribute takes. */
const OF_ATTRIBUTE = `case value->>'kind' when 'link' then true when 'rest' then true
  when 'aim' then attribute = 'position' when 'angles' then attribute = 'position' when 'pool' then attribute = 'zoom'
  when 'spin' then attribute in (${listed(TURNS)}) else attribute <> 'position' end`

/** The checks of before, by table. */
const VALUED: readonly (readonly [table: string, checks: readonly string[]])[] = [
  ['palette_value', ['value_check', 'check', 'check1', 'check2']],
  ['cue_value', ['kind', 'of_number', 'of_position', 'check2']],
  ['hand_value', ['value_check', 'check', 'check1', 'check2', 'arrival_from_check', 'arrival_from_fits']],
]
const MASKED: readonly (readonly [table: string, column: string])[] = [
  ['person', 'held_back'],
  ['person', 'usual_held_back'],
  ['palette', 'held_back'],
  ['shelf_mask', 'held_back'],
  ['cue_list', 'held_back'],
  ['fixture_type', 'has'],
]

const kinds = (rest: string) => `('aim','angles','number','spin','pool','link'${rest})`

const WITH_FUNCTIONS = `create function pg_temp.with_functions(channels jsonb) returns jsonb language sql as $$
  select jsonb_agg(case when jsonb_exists(c, 'functions') then c else jsonb_build_object('name', c->'name', 'coarse', c->'coarse', 'fine', c->'fine',
    'finest', null, 'rest', c->'rest', 'highlight', null, 'curve', 'even', 'dims', false, 'snaps', false, 'follows', null,
    'functions', jsonb_build_array(jsonb_build_object('name', '', 'does', c->'does', 'first', 0, 'last', 255,
      'from', c->'from', 'to', c->'to', 'spins', false, 'when', null))) end order by n)
  from jsonb_array_elements(channels) with ordinality t(c, n) $$`

const STATEMENTS = [
  ...VALUED.flatMap(([table, checks]) =>
    [...checks, 'attribute_check', 'value_fits'].map(
      (check) => `alter table ${table} drop constraint ${table}_${check}`,
    ),
  ),
  ...MASKED.map(([table, column]) => `alter table ${table} drop constraint ${table}_${column}_check`),
  'alter table fixture_mode drop constraint fixture_mode_channels_fits',
  'alter table fixture_type drop constraint fixture_type_wheels_fits',
  ...SHAPES,
  WITH_FUNCTIONS,
  'update fixture_mode set channels = pg_temp.with_functions(channels)',
  ...['before', 'after'].map(
    (side) => `update journal_write set ${side} = pg_temp.with_functions(${side})
      where register like 'fixtureMode/%/channels' and jsonb_typeof(${side}) = 'array'`,
  ),
  `alter table fixture_type add column ranges jsonb not null default '[]'`,
  'alter table fixture_type alter column ranges drop default',
  ...journalledField('fixtureType', 'has', 'ranges', () => `'[]'::jsonb`),
  ...VALUED.flatMap(([table]) => [
    `alter table ${table} add constraint ${table}_attribute_check check (is_attribute(attribute)) not valid`,
    `alter table ${table} add constraint ${table}_kind check (value->>'kind' in ${kinds(table === 'cue_value' ? `,'rest'` : '')}) not valid`,
    `alter table ${table} add constraint ${table}_of_attribute check (${OF_ATTRIBUTE}) not valid`,
    `alter table ${table} add constraint ${table}_value_fits check (value is null or ${FITS('value')}) not valid`,
  ]),
  `alter table hand_value add constraint hand_value_arrival_from_fits
    check (arrival_from is null or (arrival_from->>'kind' in ('aim','angles','number','spin') and ${FITS('arrival_from')})) not valid`,
  ...MASKED.map(
    ([table, column]) =>
      `alter table ${table} add constraint ${table}_${column}_check check (are_attributes(${column})) not valid`,
  ),
  'alter table fixture_mode add constraint fixture_mode_channels_fits check (fits_channels(channels)) not valid',
  'alter table fixture_type add constraint fixture_type_wheels_fits check (fits_wheels(wheels)) not valid',
  'alter table fixture_type add constraint fixture_type_ranges_fits check (fits_ranges(ranges)) not valid',
]

export const { up, down } = forward(STATEMENTS)
