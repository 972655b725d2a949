import Papa from 'papaparse';
import { type CsvLayout, layoutOf, sampleOfRow } from '../core/year/read-csv';
import { EpwReader, looksLikeEpw } from '../core/year/read-epw';
import type { Sample } from '../core/year/sample';
import { type RowNote, WeatherRefused, type WeatherYear } from '../core/year/weather';
import { type Forecast, forecastOf } from '../core/year/week-of-samples';
import { YearCollector } from '../core/year/year-of-samples';

/** A file of weather (pasted text is one too); where something was asked, with the answer. */
export interface ImportQuestion {
  readonly source: File;
  readonly want: 'year' | 'forecast';
  readonly nowMs: number;
  readonly answers?: Partial<Pick<CsvLayout, 'unit' | 'order'>>;
}

export type ImportAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  /** What the names and values of the columns do not tell. */
  | {
      readonly kind: 'asks';
      readonly asks: CsvLayout['asks'];
      readonly layout: CsvLayout;
      readonly head: readonly string[];
      readonly example: readonly string[];
    }
  | { readonly kind: 'year'; readonly year: Omit<WeatherYear, 'name'> & { readonly name: string } }
  | { readonly kind: 'forecast'; readonly forecast: Forecast }
  | { readonly kind: 'refused'; readonly message: string; readonly rows: readonly RowNote[] };

const LOOKED_AT = 1500; // rows by which a layout is told: two months of hours hold a day over the twelfth
const MOST_BYTES = 100e6;
const MOST_WEEK_ROWS = 20_000;
const MOST_NAME = 80;

const scope = globalThis as unknown as {
  onmessage: ((event: MessageEvent<ImportQuestion>) => void) | null;
  postMessage(answer: ImportAnswer): void;
};

/** Goes through the rows of a source as they are read, and says where it stands. */
class Import {
  private row = 0;
  private readonly epw = new EpwReader();
  private isEpw = false;
  private head: string[] | undefined;
  private layout: CsvLayout | undefined;
  private waiting: { cells: string[]; row: number }[] = [];
  private readonly year = new YearCollector();
  private readonly samples: Sample[] = [];
  private readonly notes: RowNote[] = [];
  private dataRows = 0;

  constructor(private readonly q: ImportQuestion) {}

  /** Takes a row; true where the import must stop to ask. */
  take(cells: string[]): boolean {
    this.row++;
    if (this.row === 1) {
      const first = (cells[0] ?? '').replace(/^\uFEFF/, '');
      this.isEpw = looksLikeEpw(first);
      if (!this.isEpw) {
        this.head = [first, ...cells.slice(1)];
        return false;
      }
    }
    if (this.isEpw) {
      this.put(this.epw.row(cells, this.row), this.row);
      return false;
    }
    if (this.layout) {
      this.put(sampleOfRow(cells, this.row, this.layout), this.row);
      return false;
    }
    this.waiting.push({ cells, row: this.row });
    return this.waiting.length >= LOOKED_AT && this.settle();
  }

  /** Tells the columns by what was read so far; true where something must be asked. */
  private settle(): boolean {
    if (this.layout || !this.head) return false;
    const found = layoutOf(
      this.head,
      this.waiting.map((w) => w.cells),
    );
    const answered = { ...found, ...this.q.answers };
    const asks = found.asks.filter((a) => this.q.answers?.[a] === undefined);
    if (asks.length > 0) {
      scope.postMessage({ kind: 'asks', asks, layout: found, head: this.head, example: this.waiting[0]?.cells ?? [] });
      return true;
    }
    this.layout = answered;
    for (const w of this.waiting) this.put(sampleOfRow(w.cells, w.row, answered), w.row);
    this.waiting = [];
    return false;
  }

  private put(got: Sample | string | undefined, row: number): void {
    if (got === undefined) return;
    this.dataRows++;
    if (this.q.want === 'year') {
      if (typeof got === 'string') this.year.drop(row, got);
      else this.year.add(got);
    } else if (typeof got === 'string') this.notes.push({ row, message: got });
    else if (this.samples.push(got) > MOST_WEEK_ROWS)
      throw new WeatherRefused(`More than ${MOST_WEEK_ROWS} rows: that is no forecast of seven days.`);
  }

  finish(name: string): ImportAnswer | undefined {
    if (this.row === 0) throw new WeatherRefused('It is empty.');
    if (!this.isEpw && this.settle()) return undefined;
    if (this.isEpw) this.epw.refuseWithoutRows(this.dataRows);
    if (this.q.want === 'forecast')
      return { kind: 'forecast', forecast: forecastOf(this.samples, this.q.nowMs, this.notes) };
    for (const head of this.isEpw ? this.epw.missingHeads : []) this.year.note(0, `its head has no line ${head}`);
    const title = (this.epw.name || name.replace(/\.[^.]*$/, '') || 'Weather').slice(0, MOST_NAME).trim();
    return {
      kind: 'year',
      year: {
        name: title,
        origin: this.isEpw ? 'epw' : 'csv',
        altitudeM: this.epw.altitudeM,
        ...this.year.finish(),
      },
    };
  }
}

function refuse(error: unknown): void {
  const known = error instanceof WeatherRefused;
  scope.postMessage({
    kind: 'refused',
    message: known ? error.message : 'It could not be read as a table of text.',
    rows: known ? error.rows : [],
  });
}

scope.onmessage = ({ data: q }) => {
  const { source } = q;
  if (source.size > MOST_BYTES)
    return refuse(new WeatherRefused('More than 100 MB: a year by the minute has some 30.'));
  const reading = new Import(q);
  let stopped = false;
  Papa.parse<string[], File>(source, {
    skipEmptyLines: false,
    chunkSize: 1 << 20,
    chunk(results: Papa.ParseResult<string[]>, parser: Papa.Parser) {
      if (stopped) return;
      try {
        for (const cells of results.data)
          if (reading.take(cells)) {
            stopped = true;
            parser.abort();
            return;
          }
        scope.postMessage({ kind: 'progress', share: Math.min(1, results.meta.cursor / source.size) });
      } catch (error) {
        stopped = true;
        refuse(error);
        parser.abort();
      }
    },
    complete() {
      if (stopped) return;
      try {
        const answer = reading.finish(source.name);
        if (answer) scope.postMessage(answer);
      } catch (error) {
        refuse(error);
      }
    },
    error: refuse,
  });
};
