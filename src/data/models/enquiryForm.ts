import { key, maybe, or, text, texts, uuid, whole, yesNo } from '../column';

export const ENQUIRY_FORM = {
  business_id: key(uuid()),
  token: text(),
  secret: text(),
  is_open: or(yesNo(), false),
  intro: maybe(text()),
  asks_service: or(yesNo(), true),
  sites: or(texts(), []),
  passage_id: maybe(uuid()),
  version: or(whole(), 1),
};
