import { run } from './statements';

// What is asked by child alone, when somebody is erased or given their file: without these, the whole file is read.
const UP = [
  `CREATE INDEX steps_by_child ON steps (child_id) WHERE child_id IS NOT NULL`,
  `CREATE INDEX session_children_by_child ON session_children (child_id)`,
  `CREATE INDEX readings_of_child ON readings (child_id)`,
];

export const up = run(UP);
export const down = run(
  ['steps_by_child', 'session_children_by_child', 'readings_of_child'].map((i) => `DROP INDEX ${i}`),
);
