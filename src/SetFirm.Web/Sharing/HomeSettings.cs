using System.Xml.Linq;
using Microsoft.AspNetCore.DataProtection.Repositories;
using Microsoft.EntityFrameworkCore;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Sharing;

/// <summary>What the program itself remembers, each by a name, in the data file.</summary>
internal sealed class HomeSettings(IServiceScopeFactory scopes)
{
    /// <summary>Null where nothing is kept.</summary>
    public string? Read(string name)
    {
        using var scope = scopes.CreateScope();
        return Db(scope).Settings.AsNoTracking().Where(s => s.Name == name).Select(s => s.Value).SingleOrDefault();
    }

    public IReadOnlyList<string> All(string before)
    {
        using var scope = scopes.CreateScope();
        return [.. Db(scope).Settings.AsNoTracking().Where(s => s.Name.StartsWith(before)).Select(s => s.Value)];
    }

    public void Write(string name, string value)
    {
        using var scope = scopes.CreateScope();
        Db(scope).Database.ExecuteSql($"INSERT OR REPLACE INTO Settings (Name, Value) VALUES ({name}, {value})");
    }

    private static SetFirmDb Db(IServiceScope scope) => scope.ServiceProvider.GetRequiredService<SetFirmDb>();
}

/// <summary>Keys that cookies are sealed with, in the data file: devices stay joined when the program starts anew.</summary>
internal sealed class KeysInData(HomeSettings settings) : IXmlRepository
{
    private const string Before = "key:";

    public IReadOnlyCollection<XElement> GetAllElements() => [.. settings.All(Before).Select(XElement.Parse)];

    public void StoreElement(XElement element, string friendlyName)
    {
        ArgumentNullException.ThrowIfNull(element);
        settings.Write(Before + friendlyName, element.ToString(SaveOptions.DisableFormatting));
    }
}
