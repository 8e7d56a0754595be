import type { paths } from './schema';

// The address of a request, as the page writes it, is looked up in the description of the API: what it answers and
// what it takes follow.

export type Method = 'GET' | 'POST' | 'PUT';

type Segments<Path extends string> = Path extends `${infer Head}/${infer Tail}` ? [Head, ...Segments<Tail>] : [Path];

type WithoutQuery<Path extends string> = Path extends `${infer Base}?${string}` ? Base : Path;

/** A part in braces stands for anything, every other for itself alone. */
type Stands<Part, Written> = Part extends `{${string}}` ? true : Written extends Part ? true : false;

type Fits<Parts extends unknown[], Written extends unknown[]> = Parts extends [infer Part, ...infer Rest]
    ? Written extends [infer Word, ...infer Words]
        ? Stands<Part, Word> extends true
            ? Fits<Rest, Words>
            : false
        : false
    : Written extends []
      ? true
      : false;

type AnyFits<Path extends string> = {
    [Key in keyof paths]: Fits<Segments<Key>, Segments<WithoutQuery<Path>>> extends true ? Key : never;
}[keyof paths];

/** A part in braces, or one that is filled in, has no name of its own. */
type Nameless<Part extends string> = `${number}` extends Part ? '{}' : Part extends `{${string}}` ? '{}' : Part;

type Shape<Path extends string> = Path extends `${infer Head}/${infer Tail}`
    ? `${Nameless<Head>}/${Shape<Tail>}`
    : Nameless<Path>;

/** Every address by its shape: worked out once, where a look at each of them took the compiler a minute in all. */
type ByShape = { [Key in keyof paths as Shape<Key>]: Key };

/** By shape; an address with a word where the description has a part in braces is held against each of them. */
type Described<Path extends string> =
    Shape<WithoutQuery<Path>> extends keyof ByShape ? ByShape[Shape<WithoutQuery<Path>>] : AnyFits<Path>;

type Operation<M extends Method, Path extends string, Key = Described<Path>> = Key extends keyof paths
    ? paths[Key] extends Record<Lowercase<M>, infer Of>
        ? Of
        : never
    : never;

/** What comes back: the answer, or nothing where there is nothing to say. */
export type Answer<M extends Method, Path extends string> =
    Operation<M, Path> extends { responses: { 200: { content: { 'application/json': infer Of } } } } ? Of : null;

/** What is sent along: a body exactly where the description asks for one. */
export type Body<M extends Method, Path extends string> =
    Operation<M, Path> extends { requestBody: { content: { 'application/json': infer Of } } } ? Of : undefined;
