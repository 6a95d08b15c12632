/**
 * Red, green and blue, which were three attributes, are one colour: what the light is to look like,
 * or what the parts do that mix it. Types say what they mix of. A show says how colours fade and how
 * cues move heads where nothing else is said. Lists of swatches can be brought in.
 */
import type { Knex } from 'knex'
import { z } from 'zod'
import { PRIMARIES, SEPARATE } from '#core/exchange/separateColours'
import { journalledField } from './journalledField'
import { mergeRows, mergeWrites, VALUED } from './mergedColours'

const THREE = `('red','green','blue')`
const ANY_OF_THREE = `array['red','green','blue']`

const LISTED: readonly (readonly [table: string, column: string])[] = [
  ['person', 'held_back'],
  ['person', 'usual_held_back'],
  ['palette', 'held_back'],
  ['shelf_mask', 'held_back'],
  ['cue_list', 'held_back'],
  ['fixture_type', 'has'],
]

const parts = (has: (name: string) => string) =>
  `jsonb_build_array(${SEPARATE.map((name) => `case when ${has(name)} then '${JSON.stringify(PRIMARIES[name])}'::jsonb end`).join(',')})`

/** What a type mixes of, by an SQL expression that tells whether it had each of the three. */
const mixing = (has: (name: string) => string) =>
  `case when ${SEPARATE.map(has).join(' or ')} then jsonb_build_object('kind', 'emitters', 'choice', 'brightest', 'parts',
    (select jsonb_agg(e) from jsonb_array_elements(${parts(has)}) e where e <> 'null'::jsonb)) else 'null'::jsonb end`

const WITH_COLOUR = `create function pg_temp.with_colour(list jsonb) returns jsonb language sql as $$
  select case when jsonb_exists_any(list, ${ANY_OF_THREE}) then (list - ${ANY_OF_THREE}) || '["colour"]'::jsonb else list end $$`

/** In JSON as PostgreSQL writes it; names of things cannot hold a quote without a stroke before it. */
const ROLES = SEPARATE.reduce(
  (text, name) => `replace(${text}, '"does": "${name}"', '"does": "part:${PRIMARIES[name].name}"')`,
  `regexp_replace(channels::text, '"when": \\{"number": [^,}]*, "attribute": "(red|green|blue)"\\}', '"when": null', 'g')`,
)

const both = (statement: (side: string) => string) => ['before', 'after'].map(statement)

const level = (value: string) => `(jsonb_typeof(${value}) = 'number' and (${value} #>> '{}')::numeric between 0 and 1)`
const shape = (name: string, test: string) =>
  `create or replace function fits_${name}(v jsonb) returns boolean language sql immutable parallel safe as $$ select coalesce(${test}, false) $$`
const place = (v: string) => `${level(`${v}->'x'`)} and ${level(`${v}->'y'`)}`

/** Lets the database know other attributes than those named in a list of before. */
const knowing = (before: string, now: string) => `do $do$ declare body text; begin
  select prosrc into body from pg_proc where proname = 'is_attribute';
  execute 'create or replace function is_attribute(a text) returns boolean language sql immutable parallel safe as $body$'
    || replace(body, $old$${before}$old$, $new$${now}$new$) || '$body$';
end $do$`

const BEFORE_VALUES = [
  knowing(`'red','green','blue'`, `'red','green','blue','colour'`),
  'set constraints all immediate',
  ...VALUED.flatMap((table) =>
    ['kind', 'of_attribute', 'value_fits', 'attribute_check'].map(
      (check) => `alter table ${table} drop constraint ${table}_${check}`,
    ),
  ),
  'alter table hand_value drop constraint hand_value_arrival_from_fits',
  WITH_COLOUR,
  `alter table show_record add column colour_fade text not null default 'by look' check (colour_fade in ('by look','by parts')),
    add column travel text not null default 'angle' check (travel in ('straight','angle'))`,
  'alter table show_record alter column colour_fade drop default, alter column travel drop default',
  ...journalledField('show', 'name', 'colourFade', () => `'"by look"'::jsonb`),
  ...journalledField('show', 'name', 'travel', () => `'"angle"'::jsonb`),
  `create table swatch (show_id text not null references show (id) on delete cascade, id text not null, list text not null, name text not null,
    "order" integer not null check ("order" > 0), x double precision not null check (x between 0 and 1),
    y double precision not null check (y between 0.001 and 1), level double precision not null check (level between 0 and 1),
    primary key (show_id, id))`,
  'alter table fixture_type add column mixing jsonb',
  `update fixture_type set mixing = ${mixing((name) => `'${name}' = any(has)`)}`,
  `update fixture_type set mixing = null where mixing = 'null'::jsonb`,
  ...journalledField('fixtureType', 'has', 'mixing', (side) => mixing((name) => `jsonb_exists(${side}, '${name}')`)),
  `update fixture_type set ranges = (select coalesce(jsonb_agg(e), '[]'::jsonb) from jsonb_array_elements(ranges) e where e->>'attribute' not in ${THREE})`,
  ...both(
    (
      side,
    ) => `update journal_write set ${side} = (select coalesce(jsonb_agg(e), '[]'::jsonb) from jsonb_array_elements(${side}) e
      where e->>'attribute' not in ${THREE}) where register like 'fixtureType/%/ranges' and jsonb_typeof(${side}) = 'array'`,
  ),
  `update fixture_mode set channels = (${ROLES})::jsonb`,
  ...both(
    (side) => `update journal_write set ${side} = (${ROLES.replaceAll('channels::text', `${side}::text`)})::jsonb
      where register like 'fixtureMode/%/channels' and ${side} is not null`,
  ),
  ...LISTED.map(
    ([table, column]) => `update ${table} set ${column} =
      array_append(array_remove(array_remove(array_remove(${column},'red'),'green'),'blue'),'colour') where ${column} && ${ANY_OF_THREE}`,
  ),
  ...both(
    (side) => `update journal_write set ${side} = pg_temp.with_colour(${side})
      where (register like '%/heldBack' or register like 'fixtureType/%/has') and jsonb_typeof(${side}) = 'array'`,
  ),
  ...both(
    (
      side,
    ) => `update journal_write set ${side} = jsonb_set(${side}, '{heldBack}', pg_temp.with_colour(${side}->'heldBack'))
      where (register like 'shelfMask/%' or register like 'person/%/usual') and jsonb_typeof(${side}->'heldBack') = 'array'`,
  ),
]

const AFTER_VALUES = [
  knowing(`'red','green','blue','colour'`, `'colour'`),
  shape(
    'mixing_part',
    `jsonb_typeof(v->'name') = 'string' and ${place('v')} and jsonb_typeof(v->'flux') = 'number' and (v->>'flux')::numeric > 0`,
  ),
  shape(
    'mixing',
    `case v->>'kind' when 'emitters' then v->>'choice' in ('brightest','fullest') when 'flags' then ${place(`v->'source'`)} else false end
      and case jsonb_typeof(v->'parts') when 'array' then jsonb_array_length(v->'parts') > 0
        and not exists (select from jsonb_array_elements(v->'parts') e where not fits_mixing_part(e)) else false end`,
  ),
  shape(
    'colour',
    `case v->>'kind' when 'colour' then ${place('v')} and ${level(`v->'level'`)}
      when 'parts' then case jsonb_typeof(v->'parts') when 'object' then not exists (
        select from jsonb_each(v->'parts') p where p.key !~ '^part:[^[:space:]/._]+(_[^[:space:]/._]+)*$' or not ${level('p.value')})
      else false end else false end`,
  ),
  `alter table fixture_type add constraint fixture_type_mixing_fits check (mixing is null or fits_mixing(mixing)) not valid`,
]

/** The checks of values as they were, and colours beside. */
function checksOfValues(defined: ReadonlyMap<string, string>): string[] {
  return VALUED.flatMap((table) => {
    const of = (check: string) => defined.get(`${table}_${check}`) ?? 'true'
    const isColour = `value->>'kind' in ('colour','parts')`
    return [
      `alter table ${table} add constraint ${table}_attribute_check check (is_attribute(attribute)) not valid`,
      `alter table ${table} add constraint ${table}_kind check (${isColour} or ${of('kind')}) not valid`,
      `alter table ${table} add constraint ${table}_of_attribute check (case when value->>'kind' in ('link','rest') then true
        when ${isColour} then attribute = 'colour' else attribute <> 'colour' and ${of('of_attribute')} end) not valid`,
      `alter table ${table} add constraint ${table}_value_fits check (case when ${isColour} then fits_colour(value) else ${of('value_fits')} end) not valid`,
    ]
  }).concat(
    `alter table hand_value add constraint hand_value_arrival_from_fits check (case when arrival_from->>'kind' in ('colour','parts')
      then fits_colour(arrival_from) else ${defined.get('hand_value_arrival_from_fits') ?? 'true'} end) not valid`,
  )
}

const constraints = z.array(z.object({ name: z.string(), test: z.string() }))

/** The tests of the checks of values, by name. */
async function checksDefined(knex: Knex): Promise<Map<string, string>> {
  const { rows } = await knex.raw(
    `select conname as name, pg_get_expr(conbin, conrelid) as test from pg_constraint where conrelid = any(?::regclass[])`,
    [[...VALUED]],
  )
  return new Map(
    constraints.parse(rows.filter(({ test }: { test: unknown }) => test !== null)).map((one) => [one.name, one.test]),
  )
}

export async function up(knex: Knex): Promise<void> {
  const defined = await checksDefined(knex)
  for (const statement of BEFORE_VALUES) await knex.raw(statement)
  await mergeWrites(knex)
  await mergeRows(knex)
  for (const statement of [...AFTER_VALUES, ...checksOfValues(defined)]) await knex.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
