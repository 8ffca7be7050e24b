-- The water on a bottle's curve is all of it, the recipe's own included: w = water ÷ the rest, from the ledger.
-- What was kept so far left the recipe's water out: w' = (w + own) / (1 − own), own being the share of water the mix
-- had before any was added.

-- Rows of every studio are read and rewritten.
alter table bottle no force row level security;
alter table bottle_before no force row level security;
alter table vessel_content no force row level security;
alter table lot no force row level security;
alter table material no force row level security;
alter table movement no force row level security;
alter table movement_line no force row level security;
alter table titration no force row level security;
alter table level_reading no force row level security;

create temporary table own_water on commit drop as
with mixed as (
  select ml.studio_id, ml.to_vessel_id as vessel_id, sum(ml.ul)::float8 as ul,
    coalesce(sum(ml.ul) filter (where m.kind = 'water'), 0)::float8 as water
  from movement_line ml
  join movement mv on mv.studio_id = ml.studio_id and mv.id = ml.movement_id and mv.kind = 'mix'
  join lot l on l.studio_id = ml.studio_id and l.id = ml.lot_id
  join material m on m.studio_id = l.studio_id and m.id = l.material_id
  where ml.to_vessel_id is not null
  group by 1, 2
), merged as (
  select distinct ml.studio_id, ml.to_vessel_id as vessel_id
  from movement_line ml
  join movement mv on mv.studio_id = ml.studio_id and mv.id = ml.movement_id and mv.kind = 'merge'
), held as (
  select c.studio_id, c.vessel_id, sum(c.ul)::float8 as ul,
    coalesce(sum(c.ul) filter (where m.kind = 'water'), 0)::float8 as water
  from vessel_content c
  join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
  join material m on m.studio_id = l.studio_id and m.id = l.material_id
  where c.ul > 0
  group by 1, 2
)
select b.studio_id, b.vessel_id, least(0.9, greatest(0,
  case
    -- By its own mix; what was poured together or divided, by what is in it now.
    when g.vessel_id is null and x.ul > 0 then x.water / x.ul
    when h.ul > 0 and b.w >= 0 then h.water / h.ul * (1 + b.w) - b.w
    else 0
  end)) as own
from bottle b
left join mixed x on x.studio_id = b.studio_id and x.vessel_id = b.vessel_id
left join merged g on g.studio_id = b.studio_id and g.vessel_id = b.vessel_id
left join held h on h.studio_id = b.studio_id and h.vessel_id = b.vessel_id;

update bottle b set w = (b.w + o.own) / (1 - o.own), read_w = (b.read_w + o.own) / (1 - o.own)
  from own_water o where o.studio_id = b.studio_id and o.vessel_id = b.vessel_id and o.own > 0;
update level_reading r set w = (r.w + o.own) / (1 - o.own)
  from titration t, own_water o
  where t.studio_id = r.studio_id and t.id = r.titration_id and o.studio_id = t.studio_id and o.vessel_id = t.vessel_id and o.own > 0;
-- What a bottle was before others were poured into it, for the undo.
update bottle_before f set facts = f.facts
    || jsonb_build_object('w', ((f.facts ->> 'w')::float8 + x.own) / (1 - x.own))
    || case when f.facts ->> 'read_w' is null then '{}'::jsonb
       else jsonb_build_object('read_w', ((f.facts ->> 'read_w')::float8 + x.own) / (1 - x.own)) end
  from (
    select ml.studio_id, ml.to_vessel_id as vessel_id,
      coalesce(sum(ml.ul) filter (where m.kind = 'water'), 0)::float8 / sum(ml.ul) as own
    from movement_line ml
    join movement mv on mv.studio_id = ml.studio_id and mv.id = ml.movement_id and mv.kind = 'mix'
    join lot l on l.studio_id = ml.studio_id and l.id = ml.lot_id
    join material m on m.studio_id = l.studio_id and m.id = l.material_id
    where ml.to_vessel_id is not null group by 1, 2
  ) x where x.studio_id = f.studio_id and x.vessel_id = f.vessel_id and x.own between 0.000001 and 0.9;

alter table bottle force row level security;
alter table bottle_before force row level security;
alter table vessel_content force row level security;
alter table lot force row level security;
alter table material force row level security;
alter table movement force row level security;
alter table movement_line force row level security;
alter table titration force row level security;
alter table level_reading force row level security;

-- What is too thin to be timed by hand is let run down a card: mm after five seconds.
alter table level_reading drop constraint level_reading_how_check;
alter table level_reading add constraint level_reading_how_check check (how in ('stopwatch', 'flow cup', 'by eye', 'run'));
alter table level_reading add column run_mm real check (run_mm > 0);
