-- Rehearsals kept with a plan: the hand that tilted, what was read at its end, and its picture.
create table rehearsal (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  plan_id uuid not null,
  -- The surface of the plan's document.
  surface_id uuid not null,
  -- As src/core/tilt/hand.ts and src/core/tilt/kept.ts describe them.
  path jsonb not null,
  told jsonb not null,
  width integer not null check (width between 1 and 4000),
  height integer not null check (height between 1 and 4000),
  image bytea not null check (octet_length(image) between 1 and 4000000),
  made_at timestamptz not null default now(),
  primary key (studio_id, id),
  foreign key (studio_id, plan_id) references plan (studio_id, id)
);
create index rehearsal_of_plan on rehearsal (studio_id, plan_id, made_at desc);
select make_tenant('rehearsal', 'select, insert, delete');
