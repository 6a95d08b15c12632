/**
 * What the Rig room works on: optics tables, wheels and modes of fixture types, levels of venues,
 * layers of the set. Types of before get an optics table and a mode worked out from their zoom
 * range and their number of channels.
 */
import { forward } from './forward'
import { journalledField } from './journalledField'

const ATTRIBUTES = `'intensity','position','zoom','edge','iris','red','green','blue','colourWheel','gobo','gobo2','shutterTop','shutterRight','shutterBottom','shutterLeft'`
const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`

const WIDER_ATTRIBUTES = ['palette_value', 'cue_value', 'hand_value'].flatMap((table) => [
  `alter table ${table} drop constraint ${table}_attribute_check`,
  `alter table ${table} add constraint ${table}_attribute_check check (attribute in (${ATTRIBUTES}))`,
])

/** A zoom without photometry: field a quarter wider than the beam, candela as the light spreads. */
const OPTICS = `case when zoom is null then '[{"beam":20,"field":25,"candela":40000}]'::jsonb else jsonb_build_array(
    jsonb_build_object('beam', zoom->'min', 'field', (zoom->>'min')::float8 * 1.25, 'candela', 200000),
    jsonb_build_object('beam', zoom->'max', 'field', (zoom->>'max')::float8 * 1.25,
      'candela', 200000 * ((zoom->>'min')::float8 / (zoom->>'max')::float8) ^ 2)) end`

const CHANNEL = (name: string, does: string, coarse: string, fine: string, from: string, to: string) =>
  `jsonb_build_object('name', '${name}', 'does', '${does}', 'coarse', ${coarse}, 'fine', ${fine}, 'from', ${from}, 'to', ${to}, 'rest', 0)`
const OLD_MODE = `jsonb_build_array(
  ${CHANNEL('Pan', 'pan', '1', '2', 'pan_min', 'pan_max')}, ${CHANNEL('Tilt', 'tilt', '3', '4', 'tilt_min', 'tilt_max')},
  ${CHANNEL('Intensity', 'intensity', '5', 'null', '0', '1')}, ${CHANNEL('Kept free', 'other', 'greatest(channels, 6)', 'null', '0', '1')})`

const STATEMENTS = [
  ...WIDER_ATTRIBUTES,
  `alter table fixture_type drop constraint fixture_type_has_check`,
  `alter table fixture_type add constraint fixture_type_has_check check (has <@ array[${ATTRIBUTES}])`,
  `alter table fixture_type add column pan_reversed boolean not null default false,
    add column tilt_reversed boolean not null default false,
    add column optics jsonb, add column wheels jsonb not null default '[]'`,
  `update fixture_type set optics = ${OPTICS}`,
  `alter table fixture_type alter column optics set not null, alter column wheels drop default,
    alter column pan_reversed drop default, alter column tilt_reversed drop default`,
  `create table fixture_mode (${KEY}, type text not null, name text not null, "order" integer not null check ("order" > 0),
    channels jsonb not null check (jsonb_array_length(channels) > 0), unique (show_id, type, id),
    unique (show_id, type, name) deferrable initially deferred, ${TO('type', 'fixture_type')})`,
  `insert into fixture_mode (show_id, id, type, name, "order", channels)
    select show_id, id || '.mode', id, 'Standard', 1, ${OLD_MODE} from fixture_type`,
  `alter table fixture_type drop column zoom, drop column channels`,
  `alter table fixture alter column type drop not null, add column mode text`,
  `update fixture set mode = type || '.mode'`,
  `alter table fixture add constraint fixture_mode_of_type foreign key (show_id, type, mode)
    references fixture_mode (show_id, type, id) deferrable initially deferred,
    add constraint fixture_mode_needs_type check (mode is null or type is not null)`,
  ...journalledField('fixture', 'type', 'mode', (side) => `to_jsonb((${side} #>> '{}') || '.mode')`),
  ...journalledField('venue', 'keepClear', 'levels', () => `'[]'::jsonb`),
  ...journalledField('setPiece', 'solids', 'layer', () => `'null'::jsonb`),
  `alter table venue add column levels jsonb not null default '[]'`,
  `alter table venue alter column levels drop default`,
  `create table layer (${KEY}, name text not null, visible boolean not null, locked boolean not null,
    unique (show_id, name) deferrable initially deferred)`,
  `alter table set_piece add column layer text, add ${TO('layer', 'layer')}`,
]

export const { up, down } = forward(STATEMENTS)
