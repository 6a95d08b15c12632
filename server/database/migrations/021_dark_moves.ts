/** Moves in the dark: when they are made, for whom, and cues that are to be quiet. */
import { forward } from './forward'
import { journalledField } from './journalledField'

const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`

export const { up, down } = forward([
  'alter table cue add column quiet boolean not null default false',
  'alter table cue alter column quiet drop default',
  `alter table show_record
    add column dark_when text not null default 'early' check (dark_when in ('early','late')),
    add column dark_margin double precision not null default 0.2 check (dark_margin between 0 and 10)`,
  'alter table show_record alter column dark_when drop default, alter column dark_margin drop default',
  ...journalledField('cue', 'name', 'quiet', () => `'false'::jsonb`),
  ...journalledField('show', 'name', 'darkWhen', () => `'"early"'::jsonb`),
  ...journalledField('show', 'name', 'darkMargin', () => `'0.2'::jsonb`),
  `create table dark_rule (show_id text not null references show (id) on delete cascade, id text not null,
    list text, cue text, fixture text,
    family text check (family in ('position','beam','colour','gobo','shutters')),
    "when" text not null check ("when" in ('planned','early','late','in cue','live')), in_cue text,
    primary key (show_id, id), check ((list is null) <> (cue is null)), check (("when" = 'in cue') = (in_cue is not null)),
    ${TO('list', 'cue_list')}, ${TO('cue', 'cue')}, ${TO('fixture', 'fixture')}, ${TO('in_cue', 'cue')})`,
  ...['list', 'cue', 'fixture', 'in_cue'].map((column) => `create index on dark_rule (show_id, ${column})`),
])
