using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wrapper.Core.Jobs;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Hosting;

/// <summary>
/// Problem details (RFC 9457). Those about fields carry <c>errors</c>: field, what was given, where, the reason and an
/// example.
/// </summary>
internal static class Problems
{
    public static ProblemHttpResult Fields(IReadOnlyList<Problem> errors) =>
        TypedResults.Problem(
            new ProblemDetails
            {
                Status = StatusCodes.Status422UnprocessableEntity,
                Title = "Some entries cannot be used.",
                Detail = string.Join(
                    " ",
                    errors.Select(error =>
                        $"{error.Field}: {error.Reason} (given \"{error.Given}\"; for example {error.Example})."
                    )
                ),
                Extensions = { ["errors"] = errors },
            }
        );

    /// <summary>A cloth that is asked for and not to be had, for this reason; the job's first one is the example.</summary>
    public static ProblemHttpResult Cloth(JobDocument job, string cloth, string reason) =>
        Fields([new Problem("cloth", cloth, 0, reason, job.Cloths is [var first, ..] ? first.Id : "")]);

    public static ProblemHttpResult Conflict(JobView current) =>
        TypedResults.Problem(
            new ProblemDetails
            {
                Status = StatusCodes.Status409Conflict,
                Title = "Somebody else saved this job in the meantime.",
                Detail = "Your change was not saved over it. Compare both and choose.",
                Extensions = { ["current"] = current },
            }
        );

    public static ProblemHttpResult Meanwhile(string detail) =>
        TypedResults.Problem(detail, statusCode: StatusCodes.Status409Conflict);

    public static ProblemHttpResult NotFound(string detail) =>
        TypedResults.Problem(detail, statusCode: StatusCodes.Status404NotFound);

    public static ProblemHttpResult Forbidden(string detail) =>
        TypedResults.Problem(detail, statusCode: StatusCodes.Status403Forbidden);
}
