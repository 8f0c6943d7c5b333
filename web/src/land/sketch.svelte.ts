import {
  type Edit,
  type Field,
  type Measured,
  type Off,
  type Outline,
  type Point,
} from '../api/client';
import { thePlan } from '../plan/context';
import { whole } from './geometry';

export type Tool = 'CORNERS' | Off['kind'] | 'PART';

/** One field's outline being drawn. Measured by the core at every change, tried on the year, saved on demand. To be made by a component. */
export class Sketch {
  private readonly open = thePlan();
  fieldId = $state('');
  outline = $state<Outline>({ edge: [], off: [], pads: [] });
  tool = $state<Tool>('CORNERS');
  /** Points of the line or shape that is being drawn inside, or of the line that parts. */
  line = $state<Point[]>([]);
  measured = $state<Measured | null>(null);
  wrong = $state('');
  changed = $state(false);
  private asked = 0;
  /** How it stood before each step, the last one last. */
  private steps = $state<{ outline: Outline; line: Point[] }[]>([]);

  get field(): Field | undefined {
    return this.open.view!.farm.fields.find((f) => f.id === this.fieldId);
  }

  choose(fieldId: string) {
    this.fieldId = fieldId;
    this.outline = structuredClone(
      $state.snapshot(this.field?.outline ?? { edge: [], off: [], pads: [] }) as Outline,
    );
    this.line = [];
    this.steps = [];
    this.tool = 'CORNERS';
    this.changed = false;
    this.wrong = '';
    this.open.dropTrial();
    void this.measure();
  }

  use(tool: Tool) {
    this.tool = tool;
    this.line = [];
  }

  /** Keeps how it stands, so that what comes now can be taken back. */
  remember() {
    this.steps.push({
      outline: structuredClone($state.snapshot(this.outline) as Outline),
      line: [...($state.snapshot(this.line) as Point[])],
    });
  }

  get mayTakeBack(): boolean {
    return this.steps.length > 0;
  }

  /** The last point, corner or shape goes back to how it was. */
  takeBack() {
    const before = this.steps.pop();
    if (!before) return;
    this.outline = before.outline;
    this.line = before.line;
    this.touch();
  }

  /** A point was set on the map or typed. */
  put(point: Point) {
    if (!this.field) return;
    this.remember();
    if (this.tool !== 'CORNERS') {
      this.line = [...this.line, point];
      return;
    }
    this.outline.edge = insertedNearest(this.outline.edge, point);
    this.touch();
  }

  move(index: number, point: Point) {
    this.outline.edge[index] = point;
    this.touch();
  }

  drop(index: number) {
    this.remember();
    this.outline.edge.splice(index, 1);
    this.touch();
  }

  /** The line or shape inside the field is done. */
  finishOff(bufferM: number, name: string) {
    if (this.tool === 'CORNERS' || this.tool === 'PART') return;
    this.remember();
    this.outline.off.push({ kind: this.tool, name, points: this.line, bufferM });
    this.use('CORNERS');
    this.touch();
  }

  dropOff(index: number) {
    this.remember();
    this.outline.off.splice(index, 1);
    this.touch();
  }

  setBuffer(index: number, bufferM: number) {
    this.outline.off[index].bufferM = bufferM;
    this.touch();
  }

  private touch() {
    this.changed = true;
    void this.measure();
  }

  private async measure() {
    const number = ++this.asked;
    this.measured = null;
    if (!whole(this.outline)) return;
    try {
      const measured = await this.open.api.measure(
        this.open.view!.id,
        $state.snapshot(this.outline) as Outline,
      );
      if (number !== this.asked) return;
      this.measured = measured;
      this.wrong = '';
      if (this.changed) void this.open.tryOut([this.edit()]);
    } catch (e) {
      if (number === this.asked) this.wrong = this.open.explain(e);
    }
  }

  /** The field with its shape; its area and what is off it are those measured. */
  edit(): Edit {
    const offHa = this.measured!.areaHa - this.measured!.netHa;
    return {
      putField: {
        ...($state.snapshot(this.field) as Field),
        outline: $state.snapshot(this.outline) as Outline,
        areaHa: Math.round(this.measured!.areaHa * 10000) / 10000,
        deductedHa: offHa > 0 ? Math.round(offHa * 10000) / 10000 : null,
      },
    };
  }

  async save() {
    if (await this.open.edit([this.edit()])) this.choose(this.fieldId);
  }

  async part(newId: string, newName: string) {
    const line = $state.snapshot(this.line) as Point[];
    const split = { id: this.fieldId, line, newId, newName };
    if (await this.open.edit([{ splitField: split }])) this.choose(this.fieldId);
  }
}

/** A new corner goes into the nearest side, so that the edge stays in order. */
export function insertedNearest(edge: Point[], point: Point): Point[] {
  if (edge.length < 3) return [...edge, point];
  let best = edge.length;
  let least = Infinity;
  edge.forEach((p, i) => {
    const q = edge[(i + 1) % edge.length];
    const length = Math.hypot(q.eastM - p.eastM, q.northM - p.northM);
    const detour =
      Math.hypot(point.eastM - p.eastM, point.northM - p.northM) +
      Math.hypot(q.eastM - point.eastM, q.northM - point.northM) -
      length;
    if (detour < least) {
      least = detour;
      best = i + 1;
    }
  });
  return [...edge.slice(0, best), point, ...edge.slice(best)];
}
