-- What a bottle was before a movement changed what is in it, and what the movement made of it: an undo puts back every
-- column that is still as the movement left it. Rows from before hold what a merge changed, and no "after".
alter table bottle_before add column after jsonb;
grant update (after) on bottle_before to fika_app;

-- Where a loss found by weighing went, as the maker said.
alter table movement add column loss text check (loss in ('dried', 'spilled', 'residue'));

drop function open_movement(uuid, uuid, text, uuid, text, uuid, timestamptz, uuid, text, uuid[]);
create function open_movement(
  p_studio uuid, p_id uuid, p_kind text, p_request uuid, p_hash text, p_reverses uuid, p_at timestamptz, p_by uuid,
  p_note text, p_vessels uuid[], p_loss text
) returns table (
  booked_id uuid, booked_hash text, vessel_id uuid, label text, sink boolean, capacity_ul bigint, lot_id uuid, ul bigint
) language plpgsql as $$
begin
  insert into movement (studio_id, id, kind, request_id, payload_hash, reverses_id, at, by, note, loss)
  values (p_studio, p_id, p_kind, p_request, p_hash, p_reverses, coalesce(p_at, now()), p_by, p_note, p_loss)
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
