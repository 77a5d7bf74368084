package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.notice.NoticeCarrier;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.notice.Device;
import app.jemble.core.notice.NoticeLimits;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.device.Devices;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** One person's notice as it will leave, to look at. */
@Component
class NoticeProofs {

  private final Samples samples;
  private final Devices devices;
  private final NoticeCarrier carrier;

  NoticeProofs(Samples samples, Devices devices, NoticeCarrier carrier) {
    this.samples = samples;
    this.devices = devices;
    this.carrier = carrier;
  }

  ProofService.Proof proof(Letter letter, Reader reader) {
    PersonRecord person = reader.person();
    NoticeLetter.Composed composed = composed(letter, reader);
    OutgoingNotice notice = composed.message();
    int on = devices.of(List.of(person.id())).getOrDefault(person.id(), List.of()).size();
    return new ProofService.Proof(
        person.id(),
        reader.about().id(),
        person.name(),
        on == 1 ? "the app on 1 device" : "the app on " + on + " devices",
        "",
        "",
        null,
        notice.subject(),
        "",
        notice.words(),
        List.of(),
        0,
        List.of(),
        composed.missing(),
        samples.of(reader.values(), Locale.forLanguageTag(person.language())),
        letter.hasOwnWords(person.id(), Channel.APP),
        letter.hasOldWords(person.id(), Channel.APP),
        reader.way().channel(),
        TextProofs.before(reader),
        null,
        new ProofService.NoticeProof(
            notice.title(),
            notice.words(),
            notice.links().isEmpty() ? notice.link() : notice.links().get(0),
            NoticeLimits.leftOfTitle(notice.title()),
            NoticeLimits.leftOfWords(notice.words())),
        null);
  }

  private static NoticeLetter.Composed composed(Letter letter, Reader reader) {
    PersonRecord person = reader.person();
    if (!(reader.address() instanceof Address.Device app) || app.stored() == null) {
      throw Problem.conflict(person.name() + " gets nothing: they do not have the app.");
    }
    Locale language = Locale.forLanguageTag(person.language());
    return letter.notice(person.id(), new NoticeLetter.Own(app, reader.values(), language, ""));
  }

  /** Sends somebody's notice to the devices of a colleague who is on record with the app. */
  String sendCopy(Letter letter, Reader reader, Account colleague) {
    List<Device> theirs = devices.ofAddress(colleague.email());
    if (theirs.isEmpty()) {
      throw Problem.conflict(
          "Nobody on record with the address of "
              + colleague.name()
              + " has the app; a copy of a notice has nowhere to go.");
    }
    HandoverResult result = carrier.sendOnce(composed(letter, reader).message().on(theirs));
    if (!(result instanceof HandoverResult.Accepted)) {
      throw Problem.conflict("The copy could not be sent: " + result.words());
    }
    return "the app of " + colleague.name();
  }
}
