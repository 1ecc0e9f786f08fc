import { array, boolean, number, type InferType } from 'yup'
import { materials } from '../reference'
import { day, exact, line, minor, uuid, version, word } from './common'

/** Somebody whom pens are made for: a name, how to reach them, what to remember. */
const customer = {
  name: line(80).trim().min(1).required(),
  reach: line(300).defined(),
  remark: line(300).defined(),
}
/** A new customer, under an id made where it was entered, so that entering it twice is once. */
export const newCustomerSchema = exact({ id: uuid().required(), ...customer })
/** The same as it comes in. */
export type NewCustomer = InferType<typeof newCustomerSchema>
/** A customer changed: the version that was seen. */
export const customerSchema = exact({ version: version().required(), ...customer })
/** The same as it comes in. */
export type CustomerChange = InferType<typeof customerSchema>
/**
 * Which customers: those with a part of the name, and one who is meant whatever their name; those behind one, by their id and their name
 * with a blank between, and so many.
 */
export const customerQuerySchema = exact({
  text: line(80), also: uuid(),
  after: line(120).matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12} /, 'Should be an id, a blank and a name.'),
  limit: number().integer().min(1).max(200),
})
/** The same as it comes in. */
export type CustomerQuery = InferType<typeof customerQuerySchema>

/** What an order is: of somebody, as a gift, or pens to lie ready. */
export const orderKinds = ['order', 'gift', 'stock'] as const

const wanted = () => line(60).min(1).nullable().defined()
const lineSchema = exact({
  id: uuid().required(),
  /** The pen that stands for it. */
  pen: uuid().nullable().defined(),
  material: word(...materials.map(row => row.id)).nullable().defined(),
  fitting: wanted(),
  method: wanted(),
  refill: line(60).defined(),
  packing: line(60).defined(),
  wish: line(300).defined(),
  price: minor().nullable().defined(),
})
const order = {
  kind: word(...orderKinds).required(),
  customer: uuid().nullable().defined(),
  promised: day().defined(),
  deposit: minor().nullable().defined(),
  remark: line(300).defined(),
  calledOff: boolean().required(),
  lines: array(lineSchema).min(1, 'An order is of one pen at least.').max(100, 'An order is of 100 pens at most.').required(),
}
/** A new order, under an id made where it was entered. */
export const newOrderSchema = exact({ id: uuid().required(), ...order })
/** The same as it comes in. */
export type NewOrder = InferType<typeof newOrderSchema>
/** An order changed: the version that was seen. */
export const orderSchema = exact({ version: version().required(), ...order })
/** The same as it comes in. */
export type OrderChange = InferType<typeof orderSchema>
/** A pen of an order as it was wished for. */
export type OrderLine = InferType<typeof lineSchema>
const orderNumber = () => number().integer().min(1).max(2_147_483_647)
/** Which orders: those that are open, or those that are over; with a text about them; those behind one by its number, and so many. */
export const orderQuerySchema = exact({
  state: word('open', 'over'),
  text: line(120),
  after: orderNumber(),
  /** The same as `after`: pages of an earlier Oxlip ask so. */
  before: orderNumber(),
  limit: number().integer().min(1).max(200),
})
/** The same as it comes in. */
export type OrderQuery = InferType<typeof orderQuerySchema>

/** Kinds of places where pens are sold. */
export const placeKinds = ['fair', 'shop'] as const
const place = {
  name: line(80).trim().min(1).required(),
  kind: word(...placeKinds).required(),
  day: day().defined(),
  cost: minor().nullable().defined(),
  gone: boolean().required(),
}
/** A new place, under an id made where it was entered. */
export const newPlaceSchema = exact({ id: uuid().required(), ...place })
/** The same as it comes in. */
export type NewPlace = InferType<typeof newPlaceSchema>
/** A place changed: the version that was seen. */
export const placeSchema = exact({ version: version().required(), ...place })
/** The same as it comes in. */
export type PlaceChange = InferType<typeof placeSchema>

/** Pens like which one: of its fitting, material and method. */
export const broughtQuerySchema = exact({
  fitting: line(60).min(1).required(), material: line(60).min(1).required(), method: line(60).min(1).required(),
})
/** The same as it comes in. */
export type BroughtQuery = InferType<typeof broughtQuerySchema>
