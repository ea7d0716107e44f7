namespace SetFirm.Web.Storage;

/// <summary>The data file cannot be used; the message is one plain sentence or two with what to do.</summary>
public class DataFileException(string message, Exception? inner = null) : InvalidOperationException(message, inner);

/// <summary>The data file was written by a newer Set Firm; nothing in it was touched.</summary>
public sealed class NewerDatabaseException(string migration)
    : DataFileException($"The data file was written by a newer Set Firm (it has \"{migration}\"). Nothing was changed. Use that newer one.");
