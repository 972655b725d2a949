import { expose } from 'comlink';
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

type Asks = Extract<ImportAnswer, { kind: 'asks' }>;

const LOOKED_AT = 1500; // rows by which a layout is told: two months of hours hold a day over the twelfth
const MOST_BYTES = 100e6;
const MOST_WEEK_ROWS = 20_000;
const MOST_NAME = 80;

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

  /** Takes a row; what must be asked before the import can go on. */
  take(cells: string[]): Asks | undefined {
    this.row++;
    if (this.row === 1) {
      const first = (cells[0] ?? '').replace(/^\uFEFF/, '');
      this.isEpw = looksLikeEpw(first);
      if (!this.isEpw) {
        this.head = [first, ...cells.slice(1)];
        return undefined;
      }
    }
    if (this.isEpw) {
      this.put(this.epw.row(cells, this.row), this.row);
      return undefined;
    }
    if (this.layout) {
      this.put(sampleOfRow(cells, this.row, this.layout), this.row);
      return undefined;
    }
    this.waiting.push({ cells, row: this.row });
    return this.waiting.length >= LOOKED_AT ? this.settle() : undefined;
  }

  /** Tells the columns by what was read so far, or what must be asked. */
  private settle(): Asks | undefined {
    if (this.layout || !this.head) return undefined;
    const found = layoutOf(
      this.head,
      this.waiting.map((w) => w.cells),
    );
    const answered = { ...found, ...this.q.answers };
    const asks = found.asks.filter((a) => this.q.answers?.[a] === undefined);
    if (asks.length > 0)
      return { kind: 'asks', asks, layout: found, head: this.head, example: this.waiting[0]?.cells ?? [] };
    this.layout = answered;
    for (const w of this.waiting) this.put(sampleOfRow(w.cells, w.row, answered), w.row);
    this.waiting = [];
    return undefined;
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

  finish(name: string): ImportAnswer {
    if (this.row === 0) throw new WeatherRefused('It is empty.');
    const asks = this.isEpw ? undefined : this.settle();
    if (asks) return asks;
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

function refusal(error: unknown): ImportAnswer {
  const known = error instanceof WeatherRefused;
  return {
    kind: 'refused',
    message: known ? error.message : 'It could not be read as a table of text.',
    rows: known ? error.rows : [],
  };
}

/** Reads a file of weather row by row, and says how far it is. */
function importWeather(q: ImportQuestion, tell: (share: number) => void): Promise<ImportAnswer> {
  const { source } = q;
  const reading = new Import(q);
  return new Promise((resolve) => {
    if (source.size > MOST_BYTES)
      return resolve(refusal(new WeatherRefused('More than 100 MB: a year by the minute has some 30.')));
    Papa.parse<string[], File>(source, {
      skipEmptyLines: false,
      chunkSize: 1 << 20,
      chunk(results: Papa.ParseResult<string[]>, parser: Papa.Parser) {
        try {
          for (const cells of results.data) {
            const asks = reading.take(cells);
            if (!asks) continue;
            resolve(asks);
            parser.abort();
            return;
          }
          tell(Math.min(1, results.meta.cursor / source.size));
        } catch (error) {
          resolve(refusal(error));
          parser.abort();
        }
      },
      // Also called where it was stopped: what was told first counts.
      complete() {
        try {
          resolve(reading.finish(source.name));
        } catch (error) {
          resolve(refusal(error));
        }
      },
      error: (error) => resolve(refusal(error)),
    });
  });
}

expose(importWeather);
