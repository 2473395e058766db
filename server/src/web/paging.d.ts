import Joi from 'joi';
export interface Paging {
  since: number;
  limit: number;
}
/** What a route that answers in pages is asked with. */
export declare const paging: Readonly<Record<keyof Paging, Joi.Schema>>;
