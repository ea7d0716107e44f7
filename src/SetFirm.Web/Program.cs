using System.Net;
using System.Reflection;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Answers;
using SetFirm.Web;
using SetFirm.Web.Archive;
using SetFirm.Web.Demo;
using SetFirm.Web.Files;
using SetFirm.Web.Files.Outlines;
using SetFirm.Web.Files.WeatherFiles;
using SetFirm.Web.Jobs;
using SetFirm.Web.Learning;
using SetFirm.Web.Live;
using SetFirm.Web.Plans;
using SetFirm.Web.Sharing;
using SetFirm.Web.Storage;
using SetFirm.Web.Weather;
using SetFirm.Web.Wire;

// ./setfirm backup and restore: no service.
if (args is ["backup" or "restore", ..])
{
    return DataCommands.Run(args, Console.Out, Console.Error);
}

// The build runs this program to write the contract; it must then touch no file.
var writingContract = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

var builder = WebApplication.CreateBuilder(args);
builder.WebHost.ConfigureKestrel(k =>
{
    k.AddServerHeader = false;
    k.Limits.MaxRequestBodySize = Bodies.MostBytes;
    HomeDoors.Mark(k, k.ApplicationServices.GetRequiredService<HomeCertificate>());
});
var doors = new HomeDoors();
builder.Configuration.Sources.Add(doors);
builder.Services.AddSingleton(doors);
builder.Services.AddSingleton<HomeSettings>();
builder.Services.AddSingleton<Preferences>();
builder.Services.AddSingleton<HomeCertificate>();
builder.Services.AddSingleton<Invitations>();
builder.Services.AddSingleton<Devices>();
builder.Services.AddSingleton<Sharing>();
builder.Services.AddAuthentication(Door.Scheme).AddCookie(Door.Scheme, Door.Cookies);
builder.Services.AddAuthorization(May.Policies);
builder.Services.AddAntiforgery(o =>
{
    o.HeaderName = Door.TokenHeader;
    o.Cookie.Name = "setfirm-token";
    o.Cookie.SameSite = SameSiteMode.Strict;
    o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
    o.SuppressXFrameOptionsHeader = true; // the content policy says it
});
if (writingContract)
{
    builder.Services.AddDataProtection().UseEphemeralDataProtectionProvider();
}
else
{
    builder.Services.AddDataProtection().SetApplicationName("SetFirm");
    builder.Services.AddOptions<KeyManagementOptions>().Configure<HomeSettings>((o, settings) => o.XmlRepository = new KeysInData(settings));
    builder.Services.AddHostedService<SharingAgain>();
}

builder.Services.ConfigureHttpJsonOptions(o => WireJson.Configure(o.SerializerOptions));
builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true); // the same in every environment
builder.Services.AddProblemDetails();
builder.Services.AddResponseCompression();
builder.Services.AddRateLimiter(o =>
{
    o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
    o.OnRejected = (context, _) =>
    {
        context.HttpContext.Response.Headers.RetryAfter = "1"; // by then there are tokens again
        return ValueTask.CompletedTask;
    };
    o.GlobalLimiter = PartitionedRateLimiter.Create<HttpContext, string>(http => RateLimitPartition.GetTokenBucketLimiter(
        http.Connection.RemoteIpAddress?.ToString() ?? "",
        _ => new TokenBucketRateLimiterOptions
        {
            TokenLimit = builder.Configuration.GetValue("SetFirm:BurstOfRequests", 2_000),
            TokensPerPeriod = 200,
            ReplenishmentPeriod = TimeSpan.FromSeconds(1),
        }));
});
builder.Services.AddOpenApi("v1", o =>
{
    o.AddSchemaTransformer(WireContract.DescribeTimes);
    o.AddSchemaTransformer(WireContract.RequireWhatIsAlwaysWritten);
});
builder.Services.AddSingleton<IClock>(_ => new FastClock(SystemClock.Instance, builder.Configuration.GetValue(FastClock.Key, 1.0)));
builder.Services.AddSingleton<IHourlyForecast>(_ => new SimulatedForecast());
builder.Services.AddSingleton<WeatherShelf>();
builder.Services.AddSingleton<JobWeather>();
builder.Services.AddSingleton<PlanDesk>();
builder.Services.AddSingleton<PlannerFiles>();
builder.Services.AddSingleton<LearntShelf>();
builder.Services.AddLive();
builder.Services.AddSingleton<YardLines>();
builder.Services.AddHostedService(s => s.GetRequiredService<YardLines>());
if (!writingContract)
{
    builder.Services.AddHostedService<LearntReader>();
}

if (builder.Configuration.GetValue<bool>(WarmUp.Key) && !writingContract)
{
    builder.Services.AddHostedService<WarmUp>();
}

builder.Services.AddSingleton<DataFile>();
if (builder.Configuration.GetValue<bool>(DailyBackups.Key) && !writingContract)
{
    builder.Services.AddHostedService<DailyBackups>();
}

builder.Services.AddDbContext<SetFirmDb>(
    (services, o) => o.UseSqlite(Database.ConnectionString(services.GetRequiredService<IConfiguration>())).AddInterceptors(new FullSync()));

var app = builder.Build();
app.UseManners();
app.UseExceptionHandler(new ExceptionHandlerOptions
{
    StatusCodeSelector = e => e is BadHttpRequestException bad ? bad.StatusCode : StatusCodes.Status500InternalServerError,
    SuppressDiagnosticsCallback = c => c.Exception is BadHttpRequestException, // a caller's slip is no fault of ours to log
});
app.UseStatusCodePages();
app.UseMiddleware<SameSite>();
app.UseMiddleware<Door>();
// On the machine itself there is no line to spare.
app.UseWhen(http => http.Connection.RemoteIpAddress is { } from && !IPAddress.IsLoopback(from), far => far.UseResponseCompression());
app.UseDefaultFiles();
app.UseStaticFiles(new StaticFileOptions
{
    OnPrepareResponse = c => c.Context.Response.Headers.CacheControl =
        c.Context.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal) ? "public, max-age=31536000, immutable" : "no-cache",
});
app.Services.GetRequiredService<PlannerFiles>().Serve(app);
// What is fetched once for a page is not counted.
app.UseRateLimiter();
app.UseAuthorization();
app.MapOpenApi();
app.MapJoin();

var api = app.MapGroup("/api");
api.ByMethod();
api.MapHealth();
api.MapForecast();
api.MapWeatherFiles();
api.MapPlans();
api.MapJobs();
api.MapLog();
api.MapPictures();
api.MapLearnt();
api.MapThings();
api.MapArchive();
api.MapProbes();
api.MapLive(app);
api.MapCatalogue();
api.MapSharing();
api.MapPreferences();
api.MapOutlines();
// Any place that is neither a file nor in the service is a place in the page. (A fallback under /api would answer 404 for a wrong method or type.)
app.MapFallbackToFile("{*path:nonfile:regex(^(?!(api|openapi|live)(/|$)).*$)}", "index.html").ForLook();

if (!writingContract)
{
    await using var scope = app.Services.CreateAsyncScope();
    var db = scope.ServiceProvider.GetRequiredService<SetFirmDb>();
    try
    {
        Database.Prepare(db, app.Services.GetRequiredService<DataFile>(), scope.ServiceProvider.GetRequiredService<IClock>().GetCurrentInstant(), Console.Error.WriteLine);
    }
    catch (DataFileException e) when (Assembly.GetEntryAssembly() == typeof(SetFirmDb).Assembly)
    {
        // To a person who starts it a sentence, not a trace; a test sees the exception.
        Console.Error.WriteLine(e.Message);
        return 1;
    }

    if (app.Configuration.GetValue<bool>("SetFirm:Demo"))
    {
        var services = scope.ServiceProvider;
        var now = services.GetRequiredService<IClock>().GetCurrentInstant();
        var weather = services.GetRequiredService<JobWeather>();
        var json = services.GetRequiredService<IOptions<JsonOptions>>().Value.SerializerOptions;
        DemoYard.Seed(db, now, weather.For, json);
        DemoYard.SetHalfWay(db, now, weather.For, json);
    }
}

await app.RunAsync();
return 0;
