/** What can be found by its name: everything has a name and says where it leads. */
export type Findable = { name: string; about: string; to: string };

/** Small letters without accents, so that “ostergard” finds Østergård. */
const plain = (text: string): string =>
    text
        .toLowerCase()
        .replaceAll('ø', 'o')
        .replaceAll('æ', 'ae')
        .replaceAll('ß', 'ss')
        .replaceAll('ł', 'l')
        .normalize('NFKD')
        .replace(/[̀-ͯ]/g, '');

/** Whether every word that was typed begins a word of the text. */
export function finds(typed: string, text: string): boolean {
    const words = plain(text).split(/[^\p{L}\p{N}]+/u);
    return plain(typed)
        .split(/\s+/)
        .filter((part) => part !== '')
        .every((part) => words.some((word) => word.startsWith(part)));
}

/** The first so many that fit what was typed: by their own name first, then by what is said of them. */
export function found<Of extends Findable>(typed: string, all: Of[], most: number): Of[] {
    const byName = all.filter((each) => finds(typed, each.name));
    const byRest = all.filter((each) => !byName.includes(each) && finds(typed, `${each.name} ${each.about}`));
    return [...byName, ...byRest].slice(0, most);
}
