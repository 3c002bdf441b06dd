// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>
#include <unistd.h>

#include <filesystem>

using namespace chalkline;
using namespace chalkline::job;

namespace {

Job sample() {
    return load(CHALKLINE_SAMPLES "/plot-27.chalk").value();
}

}  // namespace

TEST_CASE("the sample job opens as it was made") {
    const Job job = sample();
    REQUIRE(job.motifs.size() == 1);
    CHECK(job.motifs[0].art->name == "plate.svg");
    REQUIRE(job.steps.size() == 3);
    CHECK(job.steps[2].settings.kind == steps::StepKind::cut);
    CHECK(job.steps[2].settings.passes == 2);
    CHECK(job.stock->material == "Birch ply");
    CHECK(bounds(job).width() == Approx(154).margin(0.01));
}

TEST_CASE("a job is saved and opened again the same, byte by byte") {
    Job job = sample();
    job = leave_out(job, {{1, 2, 3}, InkKind::line});
    job.motifs[0].place = geometry::Transform::turn(0.3) * job.motifs[0].place;
    // The same drawing twice is stored once; another of the same name is not mixed up with it.
    job.motifs.push_back({++job.last_id, job.motifs[0].art, geometry::Transform::move(3, 4)});
    const std::string bytes = to_chalk(job).value();
    CHECK(to_chalk(job).value() == bytes);
    const Job again = parse_chalk(bytes, "x").value();
    CHECK(to_chalk(again).value() == bytes);
    CHECK(again.steps == job.steps);
    CHECK(again.left_out == job.left_out);
    CHECK(again.stock == job.stock);
    CHECK(again.motifs[0].place == job.motifs[0].place);
    CHECK(again.motifs[0].art == again.motifs[1].art);
}

TEST_CASE("how art was read is kept, each way of reading a file its own") {
    Job job = sample();
    art::ReadOptions options;
    options.scale = 0.25;
    options.stroke_area = art::ReadOptions::never;
    options.part = geometry::Box{0, 0, 80, 102};
    options.removed = {0, 2};
    options.mend = {art::Fault::doubled_line, art::Fault::open_end};
    options.limits.gap = 0.4;
    options.unit = 25.4;
    options.page = 2;
    options.picture_width = 33;
    options.text = art::DrawnText::single_stroke;
    auto other = art::read_again(*job.motifs[0].art, options, {});
    REQUIRE(other);
    other->linked.push_back({"pear.png", std::make_shared<const std::string>("bytes")});
    job.motifs.push_back({++job.last_id, std::make_shared<const art::Artwork>(*other), {}});
    const std::string bytes = to_chalk(job).value();
    const Job again = parse_chalk(bytes, "x").value();
    CHECK(again.motifs[1].art->read_with == options);
    CHECK(again.motifs[0].art->read_with == art::ReadOptions{});
    REQUIRE(again.motifs[1].art->linked.size() == 1);
    CHECK(*again.motifs[1].art->linked[0].bytes == "bytes");
    CHECK(to_chalk(again).value() == bytes);
    options.trace = art::TraceOptions{true, 90, 0.5, 0.3};
    other->read_with = options;
    job.motifs[1].art = std::make_shared<const art::Artwork>(*other);
    const Job traced = parse_chalk(to_chalk(job).value(), "x").value();
    CHECK(traced.motifs[1].art->read_with == options);
}

TEST_CASE("a job of version 1 opens as it was: every stroke a line") {
    const Job job = load(CHALKLINE_DATA "/job-v1.chalk").value();
    REQUIRE(job.motifs.size() == 1);
    CHECK(job.motifs[0].art->read_with.stroke_area == art::ReadOptions::never);
    CHECK(bounds(job).width() == Approx(154).margin(0.01));
}

TEST_CASE("names from hostile drawings stay names") {
    Job job = sample();
    auto art = *job.motifs[0].art;
    art.name = "../../etc/pass\nwd";
    job.motifs[0].art = std::make_shared<const art::Artwork>(art);
    const Job again = parse_chalk(to_chalk(job).value(), "x").value();
    CHECK(again.motifs[0].art->name == "../../etc/pass\nwd");
}

TEST_CASE("an empty job can be kept too") {
    const Job again = parse_chalk(to_chalk({}).value(), "x").value();
    CHECK(again.motifs.empty());
    CHECK_FALSE(again.stock);
}

TEST_CASE("what is no job, newer or damaged is told apart") {
    const auto code = [](const std::string& bytes) { return parse_chalk(bytes, "x.chalk").error().code; };
    CHECK(code("") == job::error::not_a_job);
    CHECK(code("<svg/>") == job::error::not_a_job);
    CHECK(code("PK\x03\x04 rubbish") == job::error::damaged);
    const std::string bytes = to_chalk(sample()).value();
    CHECK(code(bytes.substr(0, bytes.size() / 2)) == job::error::damaged);
    CHECK(load("/nowhere/x.chalk").error().code == chalkline::error::file_missing);
}

TEST_CASE("no damage to the bytes crashes the reader") {
    const std::string bytes = to_chalk(sample()).value();
    rc::prop("flipped and cut bytes", [&] {
        std::string broken = bytes.substr(0, *rc::gen::inRange<std::size_t>(1, bytes.size() + 1));
        for (int i = *rc::gen::inRange(0, 10); i > 0; --i)
            broken[*rc::gen::inRange<std::size_t>(0, broken.size())] = *rc::gen::arbitrary<char>();
        const auto job = parse_chalk(broken, "x.chalk");
        if (!job) RC_ASSERT(!job.error().code.empty());
    });
}

TEST_CASE("saving replaces the file") {
    const auto path =
        (std::filesystem::temp_directory_path() / ("chalk-test-" + std::to_string(::getpid()) + ".chalk")).string();
    REQUIRE(save(sample(), path));
    REQUIRE(save(remove_motif(sample(), 1).value(), path));
    CHECK(load(path).value().motifs.empty());
    std::filesystem::remove(path);
}
