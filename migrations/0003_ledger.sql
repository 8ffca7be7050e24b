-- Double-entry bookkeeping for paint. Every microlitre is bought into a vessel, moves between vessels, and stays in
-- one; content is kept in the same transaction as the movement that changes it.

create table lot (
  studio_id uuid not null,
  id uuid not null,
  material_id uuid not null,
  -- A tracked lot is one bought container; an untracked one is the material's supply that nobody counts.
  tracked boolean not null,
  label text not null default '' check (char_length(label) <= 120),
  size_ul bigint check (size_ul between 1 and 3000000000),
  price_minor bigint check (price_minor between 0 and 100000000),
  opened_at timestamptz not null default now(),
  primary key (studio_id, id),
  foreign key (studio_id, material_id) references material (studio_id, id)
);
-- One untracked supply per material and price: a new price starts a new supply, so old mixes keep their cost.
create unique index lot_untracked on lot (studio_id, material_id, coalesce(price_minor, -1), coalesce(size_ul, -1))
  where not tracked;
create index lot_by_material on lot (studio_id, material_id);
select make_tenant('lot', 'select, insert, update');

create table vessel (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  kind text not null check (kind in ('container', 'bottle', 'pour', 'jar', 'waste', 'air', 'out')),
  label text not null check (char_length(btrim(label)) between 1 and 120),
  capacity_ul bigint check (capacity_ul between 1 and 3000000000),
  created_at timestamptz not null default now(),
  primary key (studio_id, id)
);
create index vessel_by_kind on vessel (studio_id, kind, created_at desc);
-- Each studio has one sink of each kind.
create unique index vessel_sink on vessel (studio_id, kind) where kind in ('waste', 'air', 'out');
select make_tenant('vessel', 'select, insert, update');

create table vessel_content (
  studio_id uuid not null,
  vessel_id uuid not null,
  lot_id uuid not null,
  ul bigint not null check (ul >= 0),
  primary key (studio_id, vessel_id, lot_id),
  foreign key (studio_id, vessel_id) references vessel (studio_id, id),
  foreign key (studio_id, lot_id) references lot (studio_id, id)
) with (fillfactor = 80);
comment on table vessel_content is
  'What vessels hold now. Sinks (waste, air, out) have no rows here: every withdrawal in the studio would wait for the
   same few rows until the one before it is on disk. What went into a sink is the sum of its lines.';
create index vessel_content_by_lot on vessel_content (studio_id, lot_id);
select make_tenant('vessel_content', 'select, insert, update');

create table movement (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  kind text not null
    check (kind in ('purchase', 'mix', 'top-up', 'pour', 'take-out', 'discard', 'weigh-in', 'undo')),
  request_id uuid not null,
  payload_hash text not null,
  reverses_id uuid,
  at timestamptz not null default now(),
  by uuid references account (id),
  note text not null default '' check (char_length(note) <= 1000),
  primary key (studio_id, id),
  unique (studio_id, request_id),
  unique (studio_id, reverses_id),
  foreign key (studio_id, reverses_id) references movement (studio_id, id)
);
create index movement_by_time on movement (studio_id, at desc);
-- Written once, never changed: the app may insert and read.
select make_tenant('movement', 'select, insert');

create table movement_line (
  studio_id uuid not null,
  movement_id uuid not null,
  line_no integer not null,
  lot_id uuid not null,
  -- From nowhere is bought (or found at a weigh-in); to nowhere is a purchase undone.
  from_vessel_id uuid,
  to_vessel_id uuid,
  ul bigint not null check (ul between 1 and 3000000000),
  primary key (studio_id, movement_id, line_no),
  foreign key (studio_id, movement_id) references movement (studio_id, id),
  foreign key (studio_id, lot_id) references lot (studio_id, id),
  foreign key (studio_id, from_vessel_id) references vessel (studio_id, id),
  foreign key (studio_id, to_vessel_id) references vessel (studio_id, id),
  check (from_vessel_id is distinct from to_vessel_id)
);
create index movement_line_by_from on movement_line (studio_id, from_vessel_id) where from_vessel_id is not null;
create index movement_line_by_to on movement_line (studio_id, to_vessel_id) where to_vessel_id is not null;
select make_tenant('movement_line', 'select, insert');

-- Opens a movement: books its header once per request id, locks the vessels that give or have a limit in id order,
-- then reads what they hold. Three statements, so that each sees what was committed while the one before it waited.
create function open_movement(
  p_studio uuid, p_id uuid, p_kind text, p_request uuid, p_hash text, p_reverses uuid, p_at timestamptz, p_by uuid,
  p_note text, p_vessels uuid[]
) returns table (
  booked_id uuid, booked_hash text, vessel_id uuid, label text, sink boolean, capacity_ul bigint, lot_id uuid, ul bigint
) language plpgsql as $$
begin
  insert into movement (studio_id, id, kind, request_id, payload_hash, reverses_id, at, by, note)
  values (p_studio, p_id, p_kind, p_request, p_hash, p_reverses, coalesce(p_at, now()), p_by, p_note)
  on conflict (studio_id, request_id) do nothing;
  if not found then
    return query
      select m.id, m.payload_hash, null::uuid, null::text, null::boolean, null::bigint, null::uuid, null::bigint
      from movement m where m.studio_id = p_studio and m.request_id = p_request;
    return;
  end if;
  perform 1 from vessel v
    where v.studio_id = p_studio and v.id = any (p_vessels) order by v.id for no key update;
  return query
    select null::uuid, null::text, v.id, v.label, v.kind in ('waste', 'air', 'out'), v.capacity_ul, c.lot_id, c.ul
    from vessel v
    left join vessel_content c on c.studio_id = v.studio_id and c.vessel_id = v.id
    where v.studio_id = p_studio and v.id = any (p_vessels)
    order by v.id, c.lot_id;
end $$;
grant execute on function open_movement to fika_app;

-- A bottle is a vessel with a recipe as it was mixed.
create table bottle (
  studio_id uuid not null,
  vessel_id uuid not null,
  role text not null,
  mixed_at timestamptz not null,
  rest_until timestamptz not null,
  recipe jsonb not null,
  tare_mg bigint check (tare_mg between 0 and 100000000),
  colour_hex text check (colour_hex ~ '^#[0-9a-f]{6}$'),
  sheen text not null default 'satin',
  notes text not null default '' check (char_length(notes) <= 4000),
  emptied_at timestamptz,
  primary key (studio_id, vessel_id),
  foreign key (studio_id, vessel_id) references vessel (studio_id, id)
);
create index bottle_by_age on bottle (studio_id, mixed_at desc);
select make_tenant('bottle', 'select, insert, update');
