import type { Schemas } from '@/api/client';

/** Things of the API for a component's test, complete where the schema asks for it; what matters is given. */

export const figure = (given: Partial<Schemas['Figure']> = {}): Schemas['Figure'] => ({
  key: 'rpm',
  unit: 'rpm',
  value: 500,
  name: null,
  rule: 'speed.ok',
  formula: 'n = 1000 · v · k / (π · d)',
  terms: { v_m_min: 18, d_mm: 9, target_rpm: 636.62 },
  teaching_value: true,
  unsure: null,
  ...given,
});

/** A message of the core. */
export const said = (code: string, terms: Record<string, unknown> = {}): Schemas['Message'] => ({ code, terms });

export const step = (given: Partial<Schemas['PlanStep']> = {}): Schemas['PlanStep'] => ({
  kind: 'drill',
  tool: said('planning.tool.twist_drill', { size: '9 mm' }),
  why: [said('planning.why.size_on_drawing')],
  cautions: [],
  figures: [],
  ...given,
});

export const plan = (given: Partial<Schemas['Plan']> = {}): Schemas['Plan'] => ({
  operations: [step()],
  holding: null,
  holding_figure: null,
  warnings: [],
  missing: [],
  setups: [],
  time_s: 21,
  ready: true,
  ...given,
});

export const drawing = (given: Partial<Schemas['Drawing']> = {}): Schemas['Drawing'] => ({
  title: 'section',
  min_x: -10,
  min_y: -20,
  max_x: 10,
  max_y: 5,
  text_mm: 2,
  shapes: [],
  ...given,
});

export const answer = (given: Partial<Schemas['PlanAnswer']> = {}): Schemas['PlanAnswer'] => ({
  heading: {
    what: 'clearance for M8x1.25 through',
    machine: 'Bench drill',
    cribs: 'Metric set',
    material: 'Mild steel',
  },
  drawing: drawing(),
  plan: plan(),
  ...given,
});

export const changes = (given: Partial<Schemas['PlanChanges']> = {}): Schemas['PlanChanges'] => ({
  operations: [],
  missing_before: [],
  missing_after: [],
  time_before_s: 20,
  time_after_s: 21,
  count: given.operations?.length ?? 0,
  ...given,
});

export const entry = (given: Partial<Schemas['PlanEntry']> = {}): Schemas['PlanEntry'] => ({
  id: '019f0000-0000-7000-8000-000000000001',
  name: 'Corner hole',
  kind: 'hole',
  what: 'clearance for M8x1.25 through',
  machine: 'Bench drill',
  ready: true,
  part: 'Foot plate',
  owner: 'Ada Example',
  saved_at: '2031-05-02T10:00:00Z',
  yours: true,
  ...given,
});

export const machine = (given: Partial<Schemas['Machine']> = {}): Schemas['Machine'] => ({
  slug: 'bench',
  name: 'Bench drill',
  kind: 'bench_drill_press',
  language: 'en',
  speeds_rpm: [500, 850, 1400],
  speed_names: null,
  fastest_belt: null,
  reverses: null,
  stop: null,
  isolator: null,
  brake: null,
  locks: null,
  min_rpm: null,
  max_rpm: null,
  speed_change: 'stopped_and_isolated',
  depth_scale: { unit: 'mm', graduation_mm: 1, travel_mm: 80 },
  chuck_max_mm: 13,
  through_bore_mm: null,
  dial: null,
  cross_dial: null,
  taper: null,
  in_service: true,
  service_note: null,
  cribs: [{ slug: 'metric', name: 'Metric set' }],
  permits: [],
  checked_today: { guards: null, stop: null },
  services: [],
  ...given,
});

export const tool = (given: Partial<Schemas['Tool']> = {}): Schemas['Tool'] => ({
  id: 1,
  kind: 'drill',
  designation: '9',
  diameter_mm: 9,
  edge: 'normal',
  condition: 'good',
  taper: null,
  flute_length_mm: null,
  point_angle_deg: null,
  piece: null,
  enters_mm: null,
  reach_mm: null,
  ...given,
});

export const crib = (given: Partial<Schemas['Crib']> = {}): Schemas['Crib'] => ({
  slug: 'metric',
  name: 'Metric set',
  note: null,
  machines: ['Bench drill'],
  tools: [tool()],
  ...given,
});

export const material = (given: Partial<Schemas['Material']> = {}): Schemas['Material'] => ({
  key: 'mild_steel',
  name: 'Mild steel',
  group: 'steel',
  cutting_speed_m_min: 24,
  cutting_force_n_mm2: 2000,
  point_angle_deg: 118,
  chip_form: 'long_curly',
  lubricant: 'cutting oil',
  lubricant_to_avoid: '',
  grabs: false,
  edge: 'normal',
  own: false,
  unsure: {},
  word: said('workshop.material.mild_steel'),
  lubricant_word: said('workshop.lubricant.cutting_oil'),
  avoid_word: '',
  ...given,
});

export const gateRead = (given: Partial<Schemas['GateAnswer']> = {}): Schemas['GateAnswer'] => ({
  id: 'r1',
  event: 'decision',
  person: 'Ada',
  language: 'en',
  holder: null,
  decision: 'no',
  reasons: [],
  refused: [],
  supervisor: null,
  missing: [],
  asks: [],
  choices: null,
  further: [],
  scopes: [],
  interlock: 'off',
  read_at: '2031-05-02T10:00:00Z',
  answered_at: '2031-05-02T10:00:00Z',
  ...given,
});

type Running = NonNullable<Schemas['GateScreen']['running']>;
export const running = (given: Partial<Running> = {}): Running => ({
  session: 's1',
  person: 'Ada',
  language: 'en',
  companion: null,
  supervisor: null,
  decision: 'alone',
  since: '2031-05-02T10:00:00Z',
  request: {},
  idle_at: '2031-05-02T12:00:00Z',
  ...given,
});

export const gateScreen = (given: Partial<Schemas['GateScreen']> = {}): Schemas['GateScreen'] => ({
  nonce: null,
  answered_at: '2031-05-02T10:00:00Z',
  interlock: 'off',
  machine: {
    slug: 'bench',
    name: 'Bench drill',
    in_service: true,
    service_note: null,
    language: 'en',
    permits: ['Drilling'],
  },
  running: null,
  ended: null,
  last_read: null,
  device: { expires_at: null },
  ...given,
});
