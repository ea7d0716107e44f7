namespace SetFirm.Page;

/// <summary>The page calls what is exported (<see cref="Answering"/>); nothing runs by itself.</summary>
internal static class Program
{
    private static void Main()
    {
    }
}
