/** A text of the program that people read, where it stands in its source. */
export interface Message {
  /** The whole of it in the source, from its first sign up to the one behind its last. */
  start: number;
  end: number;
  /** The text itself, what is filled in as "{0}", "{1}" in the order of the source. */
  text: string;
  /** Where that stands which is filled in. */
  slots: readonly { start: number; end: number }[];
  /** How it is written in the source: as a value of the script, as an attribute or between tags. */
  as: 'value' | 'attribute' | 'content';
  /** A value that stands within an attribute of a template, where no quotation mark may be. */
  isQuoted?: boolean;
}
