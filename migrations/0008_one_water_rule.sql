-- Water is judged by one rule: what a mix bears is the school's share of its paint, and of its medium by its binder.

-- Rows of every studio are rewritten: the owner of the tables is let past row security for it.
select set_config('app.studio_id', '00000000-0000-0000-0000-000000000000', true);

alter table studio drop constraint studio_water_school_check;
alter table studio
  -- The studio's own share, for the school `own`; null: the start value.
  add column water_share real check (water_share between 0 and 1);
alter table studio no force row level security;
-- A fifth of the whole is a quarter of the paint; a floor of binder has no share of its own.
update studio set water_share = 0.25, water_school = 'own' where water_school = 'share';
update studio set water_school = 'paint-30' where water_school = 'binder';
alter table studio force row level security;
alter table studio add constraint studio_water_school_check check (water_school in ('paint-30', 'thinned-40', 'own'));

alter table material
  -- Pigment and filler as a share of the volume solids. Start values by body and kind as in src/core/paint/properties.ts.
  add column pigment_share real not null default 0 check (pigment_share between 0 and 1);
-- The counter of the catalogue belongs to one studio at a time; nothing is running that could read it.
alter table material disable trigger user;
alter table paint disable trigger user;
alter table material no force row level security;
alter table paint no force row level security;
alter table medium no force row level security;
update material m set pigment_share = case p.body when 'craft' then 0.35 when 'fluid' then 0.12 when 'ink' then 0.12 else 0.15 end
  from paint p where p.studio_id = m.studio_id and p.material_id = m.id;
update material m set pigment_share = 0.2
  from medium d where d.studio_id = m.studio_id and d.material_id = m.id and d.kind = 'enamel or house paint';

-- Which white a tint was painted out with, and which black a shade; null: nobody said.
alter table paint
  add column tint_white_id uuid,
  add column shade_black_id uuid,
  add foreign key (studio_id, tint_white_id) references paint (studio_id, material_id),
  add foreign key (studio_id, shade_black_id) references paint (studio_id, material_id);
-- How paints act in mixes is worked out anew: a black had no number, and dark bands had a reader's noise.
update paint set optics = null;
alter table material enable trigger user;
alter table paint enable trigger user;
alter table material force row level security;
alter table paint force row level security;
alter table medium force row level security;
