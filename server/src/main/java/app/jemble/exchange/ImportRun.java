package app.jemble.exchange;

import java.time.Instant;
import java.util.List;

/**
 * A file of people on its way in.
 *
 * @param form csv or vcard
 * @param choices {@link ImportChoices} as JSON, or null while nothing was chosen
 * @param doneRows how many rows the step under way has done
 * @param touchedAt when it last moved
 * @param trouble why it failed
 * @param batchId the act that it became, or null
 * @param undone whether that was taken back
 */
record ImportRun(
    long id,
    String fileName,
    String form,
    String encoding,
    String delimiter,
    List<String> headers,
    int rowCount,
    long byId,
    String state,
    String choices,
    int doneRows,
    Instant touchedAt,
    String trouble,
    Long batchId,
    boolean undone) {}
