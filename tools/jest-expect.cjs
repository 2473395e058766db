/**
 * What property tests expect a hundred thousand times over mostly holds, and jest takes longer to find that than the work
 * under test takes. What holds for certain is let pass here; everything else goes to jest, which judges and says it.
 */
const thorough = global.expect;

const numbers = (holds) => (actual, wanted) =>
  typeof actual === 'number' && typeof wanted === 'number' && holds(actual, wanted);

const HOLDS = {
  toBe: Object.is,
  toEqual: same,
  toBeDefined: (actual) => actual !== undefined,
  toBeUndefined: (actual) => actual === undefined,
  toBeTruthy: Boolean,
  toBeFalsy: (actual) => !actual,
  toBeGreaterThan: numbers((actual, wanted) => actual > wanted),
  toBeGreaterThanOrEqual: numbers((actual, wanted) => actual >= wanted),
  toBeLessThan: numbers((actual, wanted) => actual < wanted),
  toBeLessThanOrEqual: numbers((actual, wanted) => actual <= wanted),
  toHaveLength: (actual, wanted) => (Array.isArray(actual) || typeof actual === 'string') && actual.length === wanted,
  toContain: (actual, wanted) =>
    (Array.isArray(actual) || (typeof actual === 'string' && typeof wanted === 'string')) && actual.includes(wanted),
  toMatch: (actual, wanted) =>
    typeof actual === 'string' && wanted instanceof RegExp && !wanted.global && !wanted.sticky && wanted.test(actual),
};

/** Whether two are the same plain data through and through; of anything else nothing is claimed. */
function same(one, other) {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  if (Array.isArray(one)) return Array.isArray(other) && sameList(one, other);
  return plain(one) && plain(other) && sameKeys(one, other);
}

function sameList(one, other) {
  if (one.length !== other.length) return false;
  // an index at a time: what looks at items passes over holes
  for (let at = 0; at < one.length; at += 1) if (!same(one[at], other[at])) return false;
  return true;
}

function sameKeys(one, other) {
  const keys = Object.keys(one);
  return (
    keys.length === Object.keys(other).length &&
    Object.getOwnPropertySymbols(one).length + Object.getOwnPropertySymbols(other).length === 0 &&
    keys.every((key) => Object.hasOwn(other, key) && same(one[key], other[key]))
  );
}

function plain(one) {
  const kind = Object.getPrototypeOf(one);
  return kind === null || kind === Object.prototype;
}

class Expected {
  constructor(actual) {
    this.actual = actual;
  }
}

function learn(names) {
  for (const name of names) {
    const descriptor = typeof thorough(0)[name] === 'function' ? { value: matcher(name, HOLDS[name]) } : passedOn(name);
    Object.defineProperty(Expected.prototype, name, { ...descriptor, configurable: true });
  }
}

function matcher(name, holds = () => false) {
  return function expected(...wanted) {
    if (holds(this.actual, ...wanted)) return undefined;
    try {
      return thorough(this.actual)[name](...wanted);
    } catch (failure) {
      // the place to look at is the test's line
      Error.captureStackTrace(failure, expected);
      throw failure;
    }
  };
}

function passedOn(name) {
  return {
    get() {
      return thorough(this.actual)[name];
    },
  };
}

learn(Object.keys(thorough(0)));
global.expect = Object.assign((actual) => new Expected(actual), thorough, {
  extend(matchers) {
    thorough.extend(matchers);
    learn(Object.keys(matchers));
  },
});
