/** What of the shop’s own donors a line was met in: how they were opened, a case of a part, a chip, a cause. */
export type Met =
  | { readonly kind: 'seam'; readonly name: string }
  | { readonly kind: 'package'; readonly name: string }
  | { readonly kind: 'marking'; readonly names: readonly string[] };

/** A rule or a fact of the trade, with what it rests on. */
export interface GuideLine {
  readonly id: string;
  readonly name: string;
  readonly text: string;
  readonly source: string;
  readonly met?: Met;
  /** A page of its own. */
  readonly page?: { readonly kind: 'chip' | 'topology'; readonly id: string };
}

/** A page of the Guide, made of a table that an engine works by. */
export interface GuideArticle {
  readonly id: string;
  readonly title: string;
  readonly intro: string;
  readonly lines: readonly GuideLine[];
}

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
export const words = (name: string) => name.replaceAll('-', ' ');
export const percent = (share: number) => `${Math.round(100 * share)} %`;
