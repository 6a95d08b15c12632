/** Everything a show is made of, and its journal. Every key carries the show, so nothing points across shows. */
import type { Knex } from 'knex'

const FAMILIES = `'intensity','position','beam','colour','gobo','shutters'`
const ATTRIBUTES = `'intensity','position','zoom','edge','iris','red','green','blue','gobo','shutterTop','shutterRight','shutterBottom','shutterLeft'`

/** A stored value, and the references inside it as columns of their own so that they can be guarded. */
const VALUE = `
  attribute text not null check (attribute in (${ATTRIBUTES})),
  value jsonb not null check (value->>'kind' in ('aim','angles','number','pool','link')),
  value_target text generated always as (value->>'target') stored,
  value_palette text generated always as (value->>'palette') stored,
  check (attribute = 'position' or value->>'kind' in ('number','pool','link')),
  check (attribute <> 'position' or value->>'kind' in ('aim','angles','link')),
  check (attribute = 'zoom' or value->>'kind' <> 'pool'),
  foreign key (show_id, value_target) references target (show_id, id) deferrable initially deferred,
  foreign key (show_id, value_palette) references palette (show_id, id) deferrable initially deferred`

const POINT = (name: string) => `${name}_x float8 not null, ${name}_y float8 not null, ${name}_z float8 not null`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const UNIQUE = (...columns: string[]) => `unique (show_id, ${columns.join(', ')}) deferrable initially deferred`

const TABLES = [
  `create table show (
    id text primary key, revision integer not null default 0 check (revision >= 0),
    created_at timestamptz not null default now())`,
  `create table venue (${KEY}, name text not null, outline jsonb not null,
    opening_width float8 not null check (opening_width > 0), opening_height float8 not null check (opening_height > 0),
    opening_depth float8 not null check (opening_depth > 0), keep_clear jsonb not null, ${UNIQUE('name')})`,
  `create table show_record (${KEY}, name text not null, venue text not null, check (id = show_id), ${TO('venue', 'venue')})`,
  `create table person (${KEY}, name text not null, take text[] not null check (take <@ array[${FAMILIES}]))`,
  `create table fixture_type (${KEY}, maker text not null, name text not null,
    form text not null check (form in ('profile','wash','beam')),
    pan_min float8 not null, pan_max float8 not null, pan_speed float8 not null, pan_acceleration float8 not null,
    tilt_min float8 not null, tilt_max float8 not null, tilt_speed float8 not null, tilt_acceleration float8 not null,
    pivot_drop float8 not null, lens_across float8 not null, lens_normal float8 not null, lens_forward float8 not null,
    zoom jsonb, has text[] not null check (has <@ array[${ATTRIBUTES}]),
    channels integer not null check (channels between 1 and 512),
    check (pan_min < pan_max), check (tilt_min < tilt_max), check (pan_speed > 0), check (tilt_speed > 0),
    ${UNIQUE('maker', 'name')})`,
  `create table hang (${KEY}, name text not null, form text not null check (form in ('bar','bridge','boom','floor')), ${UNIQUE('name')})`,
  `create table hang_place (${KEY}, venue text not null, hang text not null, ${POINT('origin')},
    yaw float8 not null, rise float8 not null, length float8 not null check (length > 0),
    ${UNIQUE('venue', 'hang')}, ${TO('venue', 'venue')}, ${TO('hang', 'hang')})`,
  `create table fixture (${KEY}, number integer not null check (number > 0), name text not null, type text not null,
    universe integer check (universe between 1 and 63999), address integer check (address between 1 and 512),
    note text not null, ${UNIQUE('number')}, ${TO('type', 'fixture_type')})`,
  `create table fixture_place (${KEY}, venue text not null, fixture text not null, hang text not null,
    along float8 not null, "out" float8 not null, "drop" float8 not null,
    yaw float8 not null, pitch float8 not null, roll float8 not null,
    ${UNIQUE('venue', 'fixture')}, ${TO('venue', 'venue')}, ${TO('fixture', 'fixture')}, ${TO('hang', 'hang')})`,
  `create table set_piece (${KEY}, name text not null, solids jsonb not null, ${UNIQUE('name')})`,
  `create table set_piece_place (${KEY}, venue text not null, set_piece text not null, ${POINT('position')},
    yaw float8 not null, ${UNIQUE('venue', 'set_piece')}, ${TO('venue', 'venue')}, ${TO('set_piece', 'set_piece')})`,
  `create table target (${KEY}, name text not null, form jsonb not null check (form->>'kind' in ('point','line','ring')),
    set_piece text, local jsonb, check ((set_piece is null) = (local is null)), ${UNIQUE('name')}, ${TO('set_piece', 'set_piece')})`,
  `create table target_place (${KEY}, venue text not null, target text not null, ${POINT('position')},
    ${UNIQUE('venue', 'target')}, ${TO('venue', 'venue')}, ${TO('target', 'target')})`,
  `create table "group" (${KEY}, number numeric(8,3) not null check (number > 0), name text not null, ${UNIQUE('number')})`,
  `create table group_member (${KEY}, "group" text not null, fixture text not null, "order" float8 not null,
    ${UNIQUE('"group"', 'fixture')}, ${TO('"group"', '"group"')}, ${TO('fixture', 'fixture')})`,
  `create table palette (${KEY}, number numeric(8,3) not null check (number > 0), name text not null, colour text not null,
    symbol text, shelf text not null check (shelf in ('intensity','position','focus','beam','colour','gobo','shutters','combined')),
    take text[] not null check (take <@ array[${FAMILIES}]), ${UNIQUE('number')})`,
  `create table palette_value (${KEY}, palette text not null, fixture text, fixture_type text, ${VALUE},
    check (fixture is null or fixture_type is null), unique nulls not distinct (show_id, palette, fixture, fixture_type, attribute),
    ${TO('palette', 'palette')}, ${TO('fixture', 'fixture')}, ${TO('fixture_type', 'fixture_type')})`,
  `create table cue_list (${KEY}, number numeric(8,3) not null check (number > 0), name text not null,
    intensity_rule text not null check (intensity_rule in ('highest','latest')), on_stage text, ${UNIQUE('number')})`,
  `create table cue (${KEY}, list text not null, number numeric(8,3) not null check (number > 0), name text not null, note text not null,
    rise float8 not null check (rise >= 0), fall float8 not null check (fall >= 0), move float8 check (move >= 0),
    travel text not null check (travel in ('straight','angle')),
    ${UNIQUE('list', 'number')}, unique (show_id, list, id), ${TO('list', 'cue_list')})`,
  `alter table cue_list add foreign key (show_id, id, on_stage) references cue (show_id, list, id) deferrable initially deferred`,
  `create table cue_value (${KEY}, cue text not null, fixture text not null, ${VALUE},
    ${UNIQUE('cue', 'fixture', 'attribute')}, ${TO('cue', 'cue')}, ${TO('fixture', 'fixture')})`,
  `create table hand_value (${KEY}, person text not null, fixture text not null, ${VALUE},
    ${UNIQUE('person', 'fixture', 'attribute')}, ${TO('person', 'person')}, ${TO('fixture', 'fixture')})`,
  `create table journal_entry (show_id text not null references show (id) on delete cascade, seq integer not null check (seq > 0),
    id text not null, person text not null, "window" text not null, at timestamptz not null,
    kind text not null check (kind in ('do','undo','redo','waive','barrier')), group_id text not null, label text not null,
    undoable boolean not null, merge_key text, primary key (show_id, seq), unique (show_id, id))`,
  `create table journal_write (show_id text not null, seq integer not null, place integer not null, register text not null,
    before jsonb, after jsonb, primary key (show_id, seq, place),
    foreign key (show_id, seq) references journal_entry (show_id, seq) on delete cascade)`,
  `create index journal_write_register on journal_write (show_id, register, seq desc)`,
]

export async function up(knex: Knex): Promise<void> {
  for (const statement of TABLES) await knex.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
