import type { Climate } from '@/core/plan/survey';

export interface SiteLine {
  readonly id: string;
  readonly shop: string;
  readonly name: string;
  readonly stages: number;
}

/** A site as server/sites/list-sites.ts answers, which ui may not import. */
export interface SitePage {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly contacts: string;
  readonly notes: string;
  readonly timeZone: string;
  readonly climate: Climate | null;
  readonly lines: readonly SiteLine[];
  readonly archived: readonly SiteLine[];
  readonly removed: readonly {
    readonly id: string;
    readonly shop: string;
    readonly name: string;
    readonly removedAt: string;
  }[];
  readonly members: readonly { readonly id: string; readonly name: string; readonly role: string }[];
  readonly photos: readonly string[];
  readonly templates: readonly { readonly id: string; readonly name: string }[];
  readonly plans: boolean;
  readonly logs: boolean;
  readonly isOwn: boolean;
  readonly others: readonly { readonly id: string; readonly name: string }[];
}
