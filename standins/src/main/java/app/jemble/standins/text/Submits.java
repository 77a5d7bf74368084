package app.jemble.standins.text;

import org.jsmpp.SMPPConstant;
import org.jsmpp.bean.BroadcastSm;
import org.jsmpp.bean.CancelBroadcastSm;
import org.jsmpp.bean.CancelSm;
import org.jsmpp.bean.DataSm;
import org.jsmpp.bean.QueryBroadcastSm;
import org.jsmpp.bean.QuerySm;
import org.jsmpp.bean.ReplaceSm;
import org.jsmpp.bean.SubmitMulti;
import org.jsmpp.bean.SubmitSm;
import org.jsmpp.extra.ProcessRequestException;
import org.jsmpp.session.BroadcastSmResult;
import org.jsmpp.session.DataSmResult;
import org.jsmpp.session.QueryBroadcastSmResult;
import org.jsmpp.session.QuerySmResult;
import org.jsmpp.session.SMPPServerSession;
import org.jsmpp.session.ServerMessageReceiverListener;
import org.jsmpp.session.Session;
import org.jsmpp.session.SubmitMultiResult;
import org.jsmpp.session.SubmitSmResult;

/** Submits go to the centre; nothing else is offered. */
record Submits(MessageCentre centre) implements ServerMessageReceiverListener {

  @Override
  public SubmitSmResult onAcceptSubmitSm(SubmitSm submit, SMPPServerSession source)
      throws ProcessRequestException {
    return centre.take(submit, source);
  }

  @Override
  public SubmitMultiResult onAcceptSubmitMulti(SubmitMulti submit, SMPPServerSession source)
      throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public QuerySmResult onAcceptQuerySm(QuerySm query, SMPPServerSession source)
      throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public void onAcceptReplaceSm(ReplaceSm replace, SMPPServerSession source)
      throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public void onAcceptCancelSm(CancelSm cancel, SMPPServerSession source)
      throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public BroadcastSmResult onAcceptBroadcastSm(BroadcastSm broadcast, SMPPServerSession source)
      throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public void onAcceptCancelBroadcastSm(CancelBroadcastSm cancel, SMPPServerSession source)
      throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public QueryBroadcastSmResult onAcceptQueryBroadcastSm(
      QueryBroadcastSm query, SMPPServerSession source) throws ProcessRequestException {
    throw notOffered();
  }

  @Override
  public DataSmResult onAcceptDataSm(DataSm data, Session source) throws ProcessRequestException {
    throw notOffered();
  }

  private static ProcessRequestException notOffered() {
    return new ProcessRequestException("not offered", SMPPConstant.STAT_ESME_RINVCMDID);
  }
}
