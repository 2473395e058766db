/** The forms of documents, with what checks them: a part of its own, asked for when it is needed. */
export const forms = () => import('@/data/checked');
