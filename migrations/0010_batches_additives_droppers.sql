-- Rows of every studio are read: for the foreign key, and for what is in the bottles already.
alter table bottle no force row level security;
alter table batch no force row level security;
alter table vessel_content no force row level security;
alter table lot no force row level security;
alter table material no force row level security;

-- Bottles that were mixed as one batch know of it, so that a batch is booked once and its containers are found together.
alter table bottle add column batch_id uuid;
alter table bottle add constraint bottle_batch foreign key (studio_id, batch_id) references batch (studio_id, id);
create index bottle_batch on bottle (studio_id, batch_id) where batch_id is not null;

-- Silicone and other additives stay with what they were dropped into, wherever it is poured: kept beside colour and
-- sheen, which are read off the content as well.
alter table bottle add column has_additive boolean not null default false;
update bottle b set has_additive = true
  where exists (
    select 1 from vessel_content c
    join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
    join material m on m.studio_id = l.studio_id and m.id = l.material_id
    where c.studio_id = b.studio_id and c.vessel_id = b.vessel_id and c.ul > 0 and m.kind = 'additive');
alter table bottle force row level security;
alter table batch force row level security;
alter table vessel_content force row level security;
alter table lot force row level security;
alter table material force row level security;

-- What was taken or poured and not used goes back into its bottle; which movement it came from is kept, so that no more
-- goes back than left.
alter table movement drop constraint movement_kind_check, add constraint movement_kind_check check (kind in
  ('purchase', 'mix', 'top-up', 'pour', 'take-out', 'discard', 'weigh-in', 'finish', 'undo', 'water', 'split', 'merge', 'reclaim', 'pour-back'));
create table poured_back (
  studio_id uuid not null references studio (studio_id),
  movement_id uuid not null,
  of_movement_id uuid not null,
  primary key (studio_id, movement_id),
  foreign key (studio_id, movement_id) references movement (studio_id, id),
  foreign key (studio_id, of_movement_id) references movement (studio_id, id)
);
create index poured_back_of on poured_back (studio_id, of_movement_id);
select make_tenant('poured_back', 'select, insert');

-- Drops are as large as the dropper and what falls from it: counted into a weighed cup, one in use for each liquid.
create table dropper (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  name text not null check (char_length(btrim(name)) between 1 and 80),
  drip text not null check (drip in ('water', 'paint', 'oil')),
  drop_nl integer not null check (drop_nl between 1000 and 1000000),
  in_use boolean not null default false,
  made_at timestamptz not null default now(),
  primary key (studio_id, id)
);
create unique index dropper_in_use on dropper (studio_id, drip) where in_use;
select make_tenant('dropper', 'select, insert, update, delete');
