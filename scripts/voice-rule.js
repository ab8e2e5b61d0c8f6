// How the program speaks, as far as a machine can hear it: one word for one thing, labels that name the thing, no sentence that is read
// twice. Everything said on a screen stands in words/, screens/ or ui/, what a file is refused for in store/ and formats/.

/** Words that have a better one, and that one. */
const INSTEAD = {
  'foretold|as it was said': 'forecast',
  hearsay: 'word of mouth',
  'bring in|brought in': 'import',
  'put right': 'correct',
  'taken? back|taking it back': 'undo',
  'all in all': 'totals',
  swap: 'switch',
  'right in \\d': 'well shown in',
  'gives? up': 'skips',
  'what is on': 'what you’re fishing now',
  'seen to': 'visibility',
  '(?<!out )of sight': 'visibility',
  'fair water': 'middling water',
  'heard something': 'word of mouth',
  'likest|likeliest': 'most similar, or best',
  'reckon\\w*': 'plan, or choose',
  'it could not|could not be': 'couldn’t',
  'plain rule': 'simple step-down',
  'as one would|what one|one can|one has|one wants|one fishes|one stands': 'you',
  'keep it so|put it away|thing after the other': 'save',
};
const BANNED = Object.entries(INSTEAD).map(([old, better]) => [new RegExp(`\\b(?:${old})\\b`, 'i'), better]);

/** Longer than this a sentence is read twice. */
const MOST_WORDS = 22;
/** What stands on a control, or over a block. */
const LABELS = new Set(['label', 'title', 'name', 'lessLabel', 'moreLabel']);

const sentences = (text) => text.split(/(?<=[.!?])\s+/);
const countOf = (sentence) => sentence.split(/\s+/).filter((w) => /\w/.test(w)).length;
/** A string that is read: two words at least, and none that styles, paths or marks up. */
const isSaid = (text) => /[a-z]{2,} [a-z]/i.test(text) && !/[{}<>]|px |\b[MLHVQ]-?\d/.test(text);

module.exports = {
  meta: {
    type: 'problem',
    schema: [],
    docs: { description: 'One word for one thing, and sentences that are read once' },
  },
  create(context) {
    const check = (node, text, attribute) => {
      if (LABELS.has(attribute)) {
        if (/^(it|nothing|none|that)\b/i.test(text)) context.report({ node, message: `"${text}": name the thing` });
        if (/[^.]\.$/.test(text)) context.report({ node, message: `"${text}": no full stop on a label` });
      }
      if (!isSaid(text)) return;
      for (const [old, better] of BANNED)
        if (old.test(text)) context.report({ node, message: `"${old.exec(text)[0]}": say "${better}"` });
      for (const s of sentences(text))
        if (countOf(s) > MOST_WORDS) context.report({ node, message: `${countOf(s)} words in one sentence: "${s}"` });
    };
    const attributeOf = ({ parent }) => {
      const holder = parent?.type === 'JSXExpressionContainer' ? parent.parent : parent;
      return holder?.type === 'JSXAttribute' ? holder.name.name : undefined;
    };
    const isCode = ({ parent }) => /^(Import|Export|TSLiteral)/.test(parent?.type ?? '');
    return {
      Literal: (node) => typeof node.value === 'string' && !isCode(node) && check(node, node.value, attributeOf(node)),
      TemplateLiteral: (node) => check(node, node.quasis.map((q) => q.value.cooked).join('7'), attributeOf(node)),
      JSXText: (node) => check(node, node.value.replace(/\s+/g, ' ').trim()),
    };
  },
};
