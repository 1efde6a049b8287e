/** The handbook: the Markdown of docs/handbook, with its figures drawn into the page. */
import { Marked } from "marked";

const files = import.meta.glob<string>("../../../../docs/handbook/*.md", {
  query: "?raw",
  import: "default",
  eager: true,
});
const drawn = import.meta.glob<string>("../../../../docs/handbook/figures/*.svg", {
  query: "?raw",
  import: "default",
  eager: true,
});
const nameOf = (path: string): string => /([\w-]+)\.\w+$/.exec(path)?.[1] ?? "";
const by = (from: Record<string, string>): Map<string, string> =>
  new Map(Object.entries(from).map(([path, text]) => [nameOf(path), text]));
const pages = by(files);
const figures = by(drawn);

/** In the order in which they are read. */
const ORDER = [
  "index",
  "first-check",
  ...["ready", "turn", "feel", "read", "choose", "fit", "prove", "sign"],
  ...["bucket-under", "bucket-over", "bucket-graded", "finger", "opener-closer"],
  ...["quick-sum", "bench", "engines", "drawer", "shop", "due", "together", "history"],
  ...["sums", "years", "practice", "glossary", "assumptions"],
];

export interface PageName {
  name: string;
  title: string;
}

const titleOf = (text: string): string => /^# (.*)$/m.exec(text)?.[1] ?? "";
const anchor = (heading: string): string =>
  heading
    .toLowerCase()
    .replace(/[^\p{L}\p{N} -]/gu, "")
    .trim()
    .replaceAll(" ", "-");

export const contents: readonly PageName[] = ORDER.map((name) => ({
  name,
  title: titleOf(pages.get(name) ?? ""),
}));

const escaped = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll('"', "&quot;").replaceAll("<", "&lt;");

const marked = new Marked({
  renderer: {
    heading({ tokens, depth, text }) {
      return `<h${depth} id="${anchor(text)}">${this.parser.parseInline(tokens)}</h${depth}>`;
    },
    link({ href, tokens }) {
      const inside = /^([\w-]+)\.md(#.*)?$/.exec(href);
      const to = inside ? `/handbook/${inside[1]}${inside[2] ?? ""}` : href;
      return `<a href="${escaped(to)}">${this.parser.parseInline(tokens)}</a>`;
    },
    image({ href, text }) {
      return `<figure role="img" aria-label="${escaped(text)}">${figures.get(nameOf(href)) ?? ""}</figure>`;
    },
  },
});

/** Return a page as HTML, or null where there is none of that name. */
export function pageOf(name: string): string | null {
  const text = pages.get(name);
  return text === undefined
    ? null
    : marked.parse(text.replace(/<!--.*?-->/gs, ""), { async: false });
}

export interface Hit extends PageName {
  says: string;
}

/** Return where all of these words stand together: the pages, with the line that has most. */
export function look(words: string): Hit[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (!wanted.length) return [];
  const inIt = (text: string): number =>
    wanted.filter((word) => text.toLowerCase().includes(word)).length;
  return contents.flatMap((page) => {
    const text = (pages.get(page.name) ?? "").replace(/<!--.*?-->|[*`|]|\]\([^)]*\)|!?\[/gs, " ");
    if (inIt(text) < wanted.length) return [];
    const parts = text.split(/\n\n|\n(?=[-\d])|\n(?= )/).map((part) => part.replace(/\s+/g, " "));
    const best = parts.reduce((one, other) => (inIt(other) > inIt(one) ? other : one), "");
    return [
      {
        ...page,
        says: best
          .trim()
          .replace(/^[-\d.#]+ /, "")
          .slice(0, 160),
      },
    ];
  });
}
