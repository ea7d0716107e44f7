namespace SetFirm.Rooms;

/// <summary>The rooms of Core and their levels, as they stand in <c>rooms.txt</c>.</summary>
public sealed class RoomTable
{
    public const string FileName = "rooms.txt";

    private readonly Dictionary<string, int> levels = [];
    private readonly Dictionary<string, string[]> inside = [];

    /// <param name="text">A level a line, the lowest first; <c>Room: Folder Folder</c> for folders inside one; <c>#</c> for a remark.</param>
    public RoomTable(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var level = 0;
        foreach (var line in text.Split('\n').Select(l => l.Trim()).Where(l => l.Length > 0 && l[0] != '#'))
        {
            if (line.Split(':') is [var room, var folders])
            {
                inside[room] = Split(folders);
                continue;
            }

            foreach (var name in Split(line))
            {
                levels[name] = level;
            }

            level++;
        }
    }

    public IReadOnlyCollection<string> Names => levels.Keys;

    /// <summary>Folders inside a room, in order.</summary>
    public IReadOnlyList<string> Inside(string room) => inside.TryGetValue(room, out var folders) ? folders : [];

    /// <summary>Whether one place may use another.</summary>
    public bool Allows(Place from, Place to)
    {
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(to);
        if (from.Room == to.Room)
        {
            return from.Folder is null || to.Folder is null || Order(from) >= Order(to);
        }

        return levels.TryGetValue(from.Room, out var above) && levels.TryGetValue(to.Room, out var below) && below < above;
    }

    private int Order(Place place) => Array.IndexOf([.. Inside(place.Room)], place.Folder);

    private static string[] Split(string line) => line.Split([' '], StringSplitOptions.RemoveEmptyEntries);
}

/// <summary>Where a file of Core stands.</summary>
/// <param name="Room">Its first folder.</param>
/// <param name="Folder">And the one inside that, if any.</param>
public sealed record Place(string Room, string? Folder)
{
    private const string Core = "/SetFirm.Core/";

    /// <summary>Null for what is not in a room: written by the compiler, or of another assembly.</summary>
    public static Place? Of(string? path)
    {
        var at = path?.Replace('\\', '/').LastIndexOf(Core, StringComparison.Ordinal) ?? -1;
        return at < 0 ? null : path![(at + Core.Length)..].Replace('\\', '/').Split('/') switch
        {
            ["obj", ..] or [_] => null,
            [var room, _] => new Place(room, null),
            [var room, var folder, ..] => new Place(room, folder),
            _ => null,
        };
    }
}
