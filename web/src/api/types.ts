/** Short names for the shapes the server describes. */
export type {
  SchemaCallView as CallView,
  SchemaDial as Dial,
  SchemaFound as Found,
  SchemaHistoryEntry as HistoryEntry,
  SchemaHistoryPage as HistoryPage,
  SchemaMe as Me,
  SchemaNewCall as NewCall,
  SchemaNotice as Notice,
  SchemaOutside as Outside,
  SchemaOutsideCallView as OutsideCallView,
  SchemaPartyView as PartyView,
  SchemaPersonView as PersonView,
  SchemaPush as Push,
  SchemaSegmentView as SegmentView,
  SchemaSubscriberView as SubscriberView,
} from './schema';
