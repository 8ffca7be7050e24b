-- A piece is looked at again and again: each look keeps what was seen, and photos hang on it.

-- What was seen at one of its moments. Faults as [{"fault": …, "spots": […], "much": 1–3}].
create table look (
  studio_id uuid not null,
  piece_id uuid not null,
  moment text not null check (moment in ('wet', 'hour', 'day', 'dry', 'month', 'year')),
  at timestamptz not null default now(),
  words text not null default '' check (char_length(words) <= 8000),
  rating smallint check (rating between 1 and 5),
  weak text[] not null default '{}',
  best text,
  faults jsonb not null default '[]',
  by uuid references account (id),
  revision integer not null default 1,
  primary key (studio_id, piece_id, moment),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
select make_tenant('look', 'select, insert, update, delete');

alter table piece no force row level security;
alter table piece_photo no force row level security;
alter table look no force row level security;

-- What was noted of a piece as a whole was seen when it had dried, if it had.
do $$
declare
  one record;
begin
  for one in select * from piece where drying_notes <> '' or rating is not null or faults <> '{}' loop
    -- What a foreign key points at is looked up under the studio's own policies.
    perform set_config('app.studio_id', one.studio_id::text, true);
    insert into look (studio_id, piece_id, moment, at, words, rating, faults)
    values (one.studio_id, one.id, case when one.fate = 'drying' then 'day' else 'dry' end, one.updated_at, one.drying_notes, one.rating,
      coalesce((select jsonb_agg(jsonb_build_object('fault', f, 'spots', '[]'::jsonb, 'much', 2)) from unnest(one.faults) f), '[]'));
  end loop;
end $$;
alter table piece drop column drying_notes, drop column rating, drop column faults;

-- What became of it, when, for how much, to whom and why; which way up it hangs.
alter table piece drop constraint piece_fate_check, add constraint piece_fate_check check (fate in
  ('drying', 'keep', 'sell', 'sold', 'gift', 'rework', 'cover', 'scrap', 'lost', 'undone'));
alter table piece add column up smallint not null default 0 check (up between 0 and 270 and up % 90 = 0);
alter table piece add column fate_on date;
alter table piece add column price_minor bigint check (price_minor between 0 and 100000000000);
alter table piece add column fate_to text not null default '' check (char_length(fate_to) <= 120);
alter table piece add column fate_reason text not null default '' check (char_length(fate_reason) <= 400);
create index piece_newest on piece (studio_id, poured_at desc, id desc) where fate <> 'undone';

-- A photo is of one look. With its corners it is laid flat and measured, as src/core/photo/measurePhoto.ts describes it.
alter table piece_photo drop constraint piece_photo_state_check;
alter table piece_photo rename column state to moment;
alter table piece_photo add constraint piece_photo_moment_check check (moment in ('wet', 'hour', 'day', 'dry', 'month', 'year'));
alter table piece_photo add column is_raked boolean not null default false;
alter table piece_photo add column corners jsonb;
alter table piece_photo add column measures jsonb;
alter table piece_photo add column flat bytea check (octet_length(flat) < 4000000);
alter table piece_photo add column flat_width integer;
alter table piece_photo add column flat_height integer;
grant update on piece_photo to fika_app;

-- What was seen of each colour when a piece was measured last: the wall is searched by it.
create table seen_colour (
  studio_id uuid not null,
  piece_id uuid not null,
  hex text not null check (hex ~ '^#[0-9a-f]{6}$'),
  share double precision not null check (share between 0 and 1),
  primary key (studio_id, piece_id, hex),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
select make_tenant('seen_colour');

-- Colours of a piece that were measured wet and again dry, with a card in both photos: they teach how colours dry.
create table wet_dry_pair (
  studio_id uuid not null,
  piece_id uuid not null,
  hex text not null check (hex ~ '^#[0-9a-f]{6}$'),
  wet_hex text not null check (wet_hex ~ '^#[0-9a-f]{6}$'),
  dry_hex text not null check (dry_hex ~ '^#[0-9a-f]{6}$'),
  medium_kind text,
  medium_share numeric(5, 4) not null default 0 check (medium_share >= 0 and medium_share < 1),
  primary key (studio_id, piece_id, hex),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
select make_tenant('wet_dry_pair');

alter table look_due drop constraint look_due_moment_check, add constraint look_due_moment_check check (moment in
  ('hour', 'day', 'dry', 'month', 'year'));

-- Papers that were laid on, and small things made of what ran off.
create table by_product (
  studio_id uuid not null,
  id uuid not null,
  piece_id uuid not null,
  kind text not null check (kind in ('paper', 'small thing')),
  words text not null check (char_length(btrim(words)) between 1 and 200),
  made_on date not null,
  primary key (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index by_product_of on by_product (studio_id, piece_id);
select make_tenant('by_product', 'select, insert, delete');

-- What a piece was finished with.
create table finish_coat (
  studio_id uuid not null,
  id uuid not null,
  piece_id uuid not null,
  kind text not null check (kind in ('varnish', 'resin')),
  product text not null check (char_length(btrim(product)) between 1 and 120),
  lots text not null default '' check (char_length(lots) <= 120),
  coats smallint not null check (coats between 1 and 20),
  done_on date not null,
  cleaned_silicone boolean not null default false,
  cost_minor bigint not null default 0 check (cost_minor between 0 and 100000000),
  words text not null default '' check (char_length(words) <= 400),
  by uuid references account (id),
  primary key (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index finish_coat_of on finish_coat (studio_id, piece_id, done_on);
select make_tenant('finish_coat', 'select, insert, delete');

alter table piece force row level security;
alter table piece_photo force row level security;
alter table look force row level security;
