/**
 * What palettes in full need: masks by attribute, notes, times, shelves with masks of their own,
 * spreads kept as rules, palettes that are the rest or the highlight of the show, and where a value
 * changed by hand came from.
 */
import { forward } from './forward'
import { journalledField, journalledWhole } from './journalledField'

const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const FAMILIES = `array['intensity','position','beam','colour','gobo','shutters']`
const ATTRIBUTES = `array['intensity','position','zoom','edge','iris','red','green','blue','colourWheel','gobo','gobo2',
  'shutterTop','shutterRight','shutterBottom','shutterLeft']`
const SHELVES = `'intensity','position','focus','beam','colour','gobo','shutters','combined'`
const HELD_BACK = `held_back text[] not null default '{}' check (held_back <@ ${ATTRIBUTES})`

const STATEMENTS = [
  `alter table show_record add column rest text, add column highlight text,
    add ${TO('rest', 'palette')}, add ${TO('highlight', 'palette')}`,
  `alter table person add column ${HELD_BACK}, add column take_once boolean not null default false,
    add column editing text, add ${TO('editing', 'palette')}`,
  `alter table person alter column held_back drop default, alter column take_once drop default`,
  `alter table palette add column ${HELD_BACK}, add column note text not null default '',
    add column time double precision check (time >= 0)`,
  `alter table palette alter column held_back drop default, alter column note drop default`,
  ...journalledField('palette', 'name', 'heldBack', () => `'[]'::jsonb`),
  ...journalledField('palette', 'number', 'note', () => `'""'::jsonb`),
  ...journalledField('palette', 'shelf', 'time', () => `'null'::jsonb`),
  `create table shelf_mask (${KEY}, take text[] not null check (take <@ ${FAMILIES}), ${HELD_BACK}, check (id in (${SHELVES})))`,
  `create table palette_spread (${KEY}, palette text not null, "group" text not null, target text not null,
    lay text not null check (lay in ('in order','parallel','crossing')), check (id = palette),
    ${TO('palette', 'palette')}, ${TO('"group"', '"group"')}, ${TO('target', 'target')})`,
  `alter table hand_value add column source text, add ${TO('source', 'palette')}`,
  ...journalledWhole('handValue', '{"source":null}'),
]

export const { up, down } = forward(STATEMENTS)
