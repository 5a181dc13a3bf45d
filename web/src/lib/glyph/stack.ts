/** Side of the box in which a part is drawn. */
export const PART_BOX = 48;

/** Id under which a page holds the stack of a model. */
export const stackId = (model: string): string => `stack-${encodeURIComponent(model)}`;
