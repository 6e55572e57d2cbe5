/**
 * What core/sessions/standing says of which answers stand, for queries that look over many sessions; a test holds the
 * two together. Fragments for an answer under the name `a`.
 */

/** Neither taken back nor replaced. */
export const left = (a: string): string =>
  `NOT EXISTS (SELECT 1 FROM answers later WHERE later.supersedes = ${a}.id)
   AND NOT EXISTS (SELECT 1 FROM steps undo WHERE undo.session_id = ${a}.session_id AND undo.kind = 'undo'
   AND undo.detail ->> '$.answerId' = ${a}.id)`;

/**
 * Left, of the first pair of ears, and the latest of its turn (of its child, where a child differed from the others).
 */
export const stands = (a: string): string =>
  `${a}.second = 0 AND ${left(a)}
   AND NOT EXISTS (SELECT 1 FROM answers o WHERE o.session_id = ${a}.session_id AND o.turn = ${a}.turn
   AND o.id > ${a}.id AND o.second = 0
     AND o.differs = ${a}.differs AND (o.differs = 0 OR o.child_id IS ${a}.child_id) AND ${left('o')})`;
