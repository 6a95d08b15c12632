/**
 * What migration 009 knew of the fixtures palettes were recorded with is part of the steps that
 * recorded them: undoing such a step takes it back too, and redoing it brings it again.
 */
import { forward } from './forward'

const STATEMENTS = [
  `insert into journal_write (show_id, seq, place, register, before, after)
    select made.show_id, made.seq, (select max(place) from journal_write m where m.show_id = made.show_id and m.seq = made.seq)
        + row_number() over (partition by made.show_id, made.seq order by made.palette, made.fixture),
      'recordedFixture/' || made.palette || '.' || made.fixture || '/$', null, jsonb_build_object('palette', made.palette, 'fixture', made.fixture)
    from (select distinct on (w.show_id, own.palette, own.fixture) w.show_id, w.seq, own.palette, own.fixture
      from journal_write w join journal_entry e on e.show_id = w.show_id and e.seq = w.seq and e.kind = 'do'
        cross join lateral (select w.after ->> 'palette' as palette, w.after ->> 'fixture' as fixture) own
      where w.register like 'paletteValue/%' and w.before is null and own.fixture is not null
        and exists (select from journal_write p where p.show_id = w.show_id and p.seq = w.seq
          and p.register = 'palette/' || own.palette || '/$' and p.before is null)
        and not exists (select from journal_write r where r.show_id = w.show_id
          and r.register = 'recordedFixture/' || own.palette || '.' || own.fixture || '/$')
      order by w.show_id, own.palette, own.fixture, w.seq) made`,
]

export const { up, down } = forward(STATEMENTS)
