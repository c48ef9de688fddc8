// Keys that say something by themselves, where nothing is being typed.
const FIELDS = 'input, textarea, select';

/** Whether g was pressed: the next key says where to go, and means nothing else. */
export const chord = { begun: false };

export const plain = (event) => !event.ctrlKey && !event.metaKey && !event.altKey;

/** The field that has the hand, whatever stands in it. */
export const field = () => document.activeElement?.closest(FIELDS);

/** Whether a key goes into a field: the keying field takes letters only once a figure was begun. */
export const typing = () => Boolean(field()) && !(field().matches('input.key') && field().value === '');
