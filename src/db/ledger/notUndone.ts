/** SQL: a movement was not undone. @param row alias of a row that names it, @param id in this column */
export const notUndone = (row: string, id = 'id'): string =>
  `not exists (select from movement u where u.studio_id = ${row}.studio_id and u.reverses_id = ${row}.${id})`
