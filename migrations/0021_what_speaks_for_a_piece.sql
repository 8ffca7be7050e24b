-- Colours seen are those of the newest dry photo that can be trusted; until now the photo measured last had them, and
-- one that was taken away left them behind.
alter table seen_colour no force row level security;
alter table piece_photo no force row level security;
delete from seen_colour;
insert into seen_colour (studio_id, piece_id, hex, share)
select best.studio_id, best.piece_id, lower(c ->> 'hex'), least(1, sum((c ->> 'seen')::float8))
from (
  select distinct on (f.studio_id, f.piece_id) f.studio_id, f.piece_id, f.measures from piece_photo f
  where f.measures is not null and not coalesce(f.measures #> '{trust,not}' ? 'colours', false)
  order by f.studio_id, f.piece_id, f.moment in ('dry', 'month', 'year') desc, f.taken_at desc, f.id desc
) best, jsonb_array_elements(best.measures -> 'colours') c
group by 1, 2, 3;
alter table seen_colour force row level security;
alter table piece_photo force row level security;
