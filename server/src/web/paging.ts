import Joi from 'joi';
import { PAGE } from '../store';

export interface Paging {
  since: number;
  limit: number;
}

/** What a route that answers in pages is asked with. */
export const paging: Readonly<Record<keyof Paging, Joi.Schema>> = {
  since: Joi.number().integer().min(0).default(0),
  limit: Joi.number().integer().min(1).max(PAGE.entries).default(PAGE.entries),
};
