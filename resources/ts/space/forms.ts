/** The kinds of step after which a model is no longer flat (core/Sequence/FoldKind::isForm). */
const FORMS = ['inflate', 'open-out', 'curl', 'pinch', 'stand']
export const formed = (kind: string) => FORMS.includes(kind)
