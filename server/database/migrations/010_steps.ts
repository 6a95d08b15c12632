/**
 * Steps of undo as rows of their own, so that the next one is found without reading the journal,
 * and indexes by which the rows that point at something are found when it goes.
 */
import { forward } from './forward'

const INDEXED: Readonly<Record<string, readonly string[]>> = {
  cue_run: ['list, cue', 'list, "from"'],
  cue_time: ['fixture'],
  cue_value: ['fixture', 'source', 'value_palette', 'value_target'],
  fixture: ['type, mode'],
  fixture_place: ['fixture', 'hang'],
  group_member: ['fixture'],
  hand_value: ['fixture', 'source', 'value_palette', 'value_target'],
  hang_place: ['hang'],
  highlighted: ['fixture'],
  palette_spread: ['palette', '"group"', 'target'],
  palette_value: ['fixture', 'fixture_type', 'value_palette', 'value_target'],
  person: ['editing'],
  recorded_fixture: ['fixture'],
  set_piece: ['layer'],
  set_piece_place: ['set_piece'],
  show_record: ['venue', 'rest', 'highlight'],
  target: ['set_piece'],
  target_place: ['target'],
  working_set_member: ['fixture'],
}

const indexes = Object.entries(INDEXED).flatMap(([table, keys]) =>
  // Most rows point at few of these: what is null need not be filed.
  keys.map(
    (columns) =>
      `create index on ${table} (show_id, ${columns}) where ${columns
        .split(', ')
        .map((name) => `${name} is not null`)
        .join(' and ')}`,
  ),
)

const STATEMENTS = [
  `alter table show add column compacted_seq integer not null default 0 check (compacted_seq >= 0)`,
  `create table change_group (show_id text not null references show (id) on delete cascade, id text not null, person text not null,
    label text not null, undoable boolean not null, first_seq integer not null check (first_seq > 0), last_seq integer not null,
    live boolean not null, waived boolean not null, toggled_seq integer not null check (toggled_seq >= 0),
    settled boolean not null, primary key (show_id, id), check (first_seq <= last_seq))`,
  `insert into change_group (show_id, id, person, label, undoable, first_seq, last_seq, live, waived, toggled_seq, settled)
    select done.show_id, done.group_id, done.person, done.label, done.undoable, done.first_seq, done.last_seq,
      coalesce(toggled.kind <> 'undo', true), exists (select from journal_entry e
        where e.show_id = done.show_id and e.group_id = done.group_id and e.kind = 'waive'), coalesce(last_toggled.seq, 0), false
    from (select distinct on (show_id, group_id) show_id, group_id, person, label, undoable,
        min(seq) over whole as first_seq, max(seq) over whole as last_seq
      from journal_entry where kind = 'do' window whole as (partition by show_id, group_id) order by show_id, group_id, seq desc) done
    left join lateral (select kind from journal_entry e where e.show_id = done.show_id and e.group_id = done.group_id
      and e.kind in ('undo','redo') order by seq desc limit 1) toggled on true
    left join lateral (select seq from journal_entry e where e.show_id = done.show_id and e.group_id = done.group_id
      and e.kind <> 'do' order by seq desc limit 1) last_toggled on true`,
  `create index change_group_undo on change_group (show_id, person, last_seq desc) where undoable and live and not waived and not settled`,
  `create index change_group_redo on change_group (show_id, person, toggled_seq desc) where undoable and not live and not waived and not settled`,
  `create index change_group_done on change_group (show_id, person, last_seq desc) where undoable`,
  `alter table journal_entry drop constraint journal_entry_kind_check,
    add constraint journal_entry_kind_check check (kind in ('do','undo','redo','waive')),
    add foreign key (show_id, group_id) references change_group (show_id, id)`,
  `create index journal_entry_group on journal_entry (show_id, group_id, seq)`,
  ...indexes,
]

export const { up, down } = forward(STATEMENTS)
