/** Short names for the shapes the server describes. */
export type {
  SchemaCallBackView as CallBackView,
  SchemaByTelephone as ByTelephone,
  SchemaCallView as CallView,
  SchemaCardBody as CardBody,
  SchemaContactBefore as ContactBefore,
  SchemaContactChange as ContactChange,
  SchemaContactFilters as ContactFilters,
  SchemaContactImport as ContactImport,
  SchemaContactRow as ContactRow,
  SchemaContactsPage as ContactsPage,
  SchemaContactView as ContactView,
  SchemaConferenceView as ConferenceView,
  SchemaDial as Dial,
  SchemaFollowUpBody as FollowUpBody,
  SchemaFollowUpView as FollowUpView,
  SchemaFound as Found,
  SchemaHistoryEntry as HistoryEntry,
  SchemaHistoryLine as HistoryLine,
  SchemaHistoryPage as HistoryPage,
  SchemaMe as Me,
  SchemaNewCall as NewCall,
  SchemaHandsetAnswer as HandsetAnswer,
  SchemaHoldMusicView as HoldMusicView,
  SchemaItem as Item,
  SchemaKnownOf as KnownOf,
  SchemaLeavingView as LeavingView,
  SchemaLetter as MessageLetter,
  SchemaMailboxView as MailboxView,
  SchemaMessageView as MessageView,
  SchemaMyCalls as MyCalls,
  SchemaNumberView as NumberView,
  SchemaBoard as Board,
  SchemaRecordingLog as RecordingLog,
  SchemaRecordingOpened as RecordingOpened,
  SchemaRecordingPolicy as RecordingPolicy,
  SchemaRecordingsPage as RecordingsPage,
  SchemaRecordingView as RecordingView,
  SchemaService as Service,
  SchemaOthersCallView as OthersCallView,
  SchemaNoticeView as NoticeView,
  SchemaOutside as Outside,
  SchemaOutsideCallView as OutsideCallView,
  SchemaPartyView as PartyView,
  SchemaPersonView as PersonView,
  SchemaPreference as Preference,
  SchemaPush as Push,
  SchemaSegmentView as SegmentView,
  SchemaSignInView as SignInView,
  SchemaSlotView as SlotView,
  SchemaAnswered as SoftphoneAnswer,
  SchemaKey as SpeedDialKey,
  SchemaSpeaking as Speaking,
  SchemaSpeedDialView as SpeedDialView,
  SchemaSubscriberView as SubscriberView,
  SchemaTakeOver as TakeOver,
  SchemaToCallBack as ToCallBack,
  SchemaVoicemailPage as VoicemailPage,
  SchemaLineUseView as LineUseView,
  SchemaLineView as LineView,
  SchemaStatusView as StatusView,
  SchemaNewStatus as NewStatus,
  SchemaRingView as RingView,
  SchemaHours as Hours,
  SchemaSpanBody as SpanBody,
  SchemaTrialView as TrialView,
  SchemaStationView as StationView,
  SchemaBlockPage as BlockPage,
  SchemaBlockView as BlockView,
  SchemaNewBlock as NewBlock,
  SchemaCallersView as CallersView,
  SchemaCallersBody as CallersBody,
  SchemaTargetView as TargetView,
  SchemaRuleTarget as RuleTarget,
} from './schema';
import type {
  SchemaHours,
  SchemaOpeningBody,
  SchemaRuleBody,
  SchemaRulesBody,
  SchemaRulesView,
  SchemaRuleView,
} from './schema';

/** The description cannot say of a shape that it may be absent. */
type Maybe<T, K extends keyof T> = Omit<T, K> & Partial<Pick<T, K>>;

export type RuleBody = Maybe<SchemaRuleBody, 'times'>;
export type RuleView = Maybe<SchemaRuleView, 'times'>;
export type RulesBody = Omit<SchemaRulesBody, 'rules' | 'hours'> & {
  rules: RuleBody[];
  hours?: SchemaHours;
};
export type RulesView = Omit<SchemaRulesView, 'rules' | 'hours'> & {
  rules: RuleView[];
  hours?: SchemaHours;
};
export type OpeningBody = Maybe<SchemaOpeningBody, 'hours'>;
