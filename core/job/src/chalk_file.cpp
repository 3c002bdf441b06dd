// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/cleaning.hpp>
#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>

#include <nlohmann/json.hpp>
#include <zip.h>

#include <algorithm>
#include <cmath>
#include <iterator>
#include <map>
#include <memory>

namespace chalkline::job {
namespace {

using Json = nlohmann::ordered_json;

constexpr const char* manifest = "job.json";
constexpr zip_uint64_t largest_entry = 256ULL << 20;

// ---------------------------------------------------------------- zip

struct Discard {
    void operator()(zip_t* archive) const { zip_discard(archive); }
};
using Archive = std::unique_ptr<zip_t, Discard>;

struct Entry {
    std::string name, bytes;
};

/// A zip in memory with fixed times, so that the same entries give the same bytes.
Result<std::string> write_zip(const std::vector<Entry>& entries) {
    zip_error_t problem;
    zip_error_init(&problem);
    zip_source_t* memory = zip_source_buffer_create(nullptr, 0, 0, &problem);
    if (!memory) return fail(error::damaged, {{"reason", zip_error_strerror(&problem)}});
    zip_source_keep(memory);
    const std::unique_ptr<zip_source_t, void (*)(zip_source_t*)> kept(memory, zip_source_free);
    Archive archive(zip_open_from_source(memory, ZIP_TRUNCATE, &problem));
    if (!archive) return fail(error::damaged, {{"reason", zip_error_strerror(&problem)}});
    for (const Entry& entry : entries) {
        zip_source_t* source = zip_source_buffer(archive.get(), entry.bytes.data(), entry.bytes.size(), 0);
        const zip_int64_t index = zip_file_add(archive.get(), entry.name.c_str(), source, ZIP_FL_ENC_UTF_8);
        if (index < 0) {
            zip_source_free(source);
            return fail(error::damaged, {{"reason", zip_strerror(archive.get())}});
        }
        zip_file_set_dostime(archive.get(), static_cast<zip_uint64_t>(index), 0, 0x21, 0);  // 1980-01-01 00:00
    }
    if (zip_close(archive.get()) != 0) return fail(error::damaged, {{"reason", zip_strerror(archive.get())}});
    (void)archive.release();
    zip_stat_t facts;
    zip_source_stat(memory, &facts);
    std::string bytes(facts.size, '\0');
    zip_source_open(memory);
    zip_source_read(memory, bytes.data(), bytes.size());
    zip_source_close(memory);
    return bytes;
}

Archive open_zip(const std::string& bytes) {
    zip_error_t problem;
    zip_error_init(&problem);
    zip_source_t* memory = zip_source_buffer_create(bytes.data(), bytes.size(), 0, &problem);
    if (!memory) return nullptr;
    Archive archive(zip_open_from_source(memory, ZIP_RDONLY | ZIP_CHECKCONS, &problem));
    if (!archive) zip_source_free(memory);
    return archive;
}

std::optional<std::string> read_entry(zip_t* archive, const std::string& name) {
    zip_stat_t facts;
    if (zip_stat(archive, name.c_str(), 0, &facts) != 0 || !(facts.valid & ZIP_STAT_SIZE)) return {};
    if (facts.size > largest_entry) return {};
    const std::unique_ptr<zip_file_t, int (*)(zip_file_t*)> file(zip_fopen(archive, name.c_str(), 0), zip_fclose);
    if (!file) return {};
    std::string bytes(facts.size, '\0');
    const zip_int64_t got = zip_fread(file.get(), bytes.data(), bytes.size());
    if (got != static_cast<zip_int64_t>(bytes.size())) return {};
    return bytes;
}

// ---------------------------------------------------------------- JSON

Json inks_to_json(const std::vector<Ink>& inks) {
    Json list = Json::array();
    for (const Ink& ink : inks)
        list.push_back(to_text(ink));
    return list;
}

Json step_to_json(const Step& step) {
    const auto& s = step.settings;
    return {{"id", step.id},
            {"kind", std::string(steps::to_text(s.kind))},
            {"power", s.power.percent()},
            {"speed", s.speed.mm_per_min()},
            {"passes", s.passes},
            {"air", s.air},
            {"line_pitch_mm", s.line_pitch.mm()},
            {"inks", inks_to_json(step.inks)}};
}

Json stock_to_json(const Stock& stock) {
    return {{"material", stock.material},
            {"thickness_mm", stock.thickness.mm()},
            {"corner_mm", {stock.corner.x, stock.corner.y}},
            {"size_mm", {stock.width, stock.height}},
            {"angle_rad", stock.angle}};
}

std::vector<Ink> inks_from_json(const Json& list) {
    std::vector<Ink> inks;
    for (const Json& text : list) {
        const auto ink = parse_ink(text.get<std::string>());
        if (!ink) throw std::invalid_argument("ink " + text.dump());
        inks.push_back(*ink);
    }
    return inks;
}

Step step_from_json(const Json& json) {
    Step step;
    step.id = json.at("id");
    const auto kind = steps::parse_kind(json.at("kind").get<std::string>());
    if (!kind) throw std::invalid_argument("kind " + json.at("kind").dump());
    step.settings.kind = *kind;
    step.settings.power = Power::percent(json.at("power"));
    step.settings.speed = Speed::mm_per_min(json.at("speed"));
    step.settings.passes = json.at("passes");
    step.settings.air = json.at("air");
    step.settings.line_pitch = Length::mm(json.at("line_pitch_mm"));
    step.inks = inks_from_json(json.at("inks"));
    constexpr Speed any_machine = Speed::mm_per_min(1e7);
    if (!steps::validate(step.settings, any_machine)) throw std::invalid_argument("step " + std::to_string(step.id));
    return step;
}

Stock stock_from_json(const Json& json) {
    Stock stock;
    stock.material = json.at("material");
    stock.thickness = Length::mm(json.at("thickness_mm"));
    stock.corner = {json.at("corner_mm").at(0), json.at("corner_mm").at(1)};
    stock.width = json.at("size_mm").at(0);
    stock.height = json.at("size_mm").at(1);
    stock.angle = json.at("angle_rad");
    return stock;
}

geometry::Transform transform_from_json(const Json& json) {
    const geometry::Transform map{json.at(0), json.at(1), json.at(2), json.at(3), json.at(4), json.at(5)};
    if (!map.finite()) throw std::invalid_argument("place");
    return map;
}

/// Only what differs from the ordinary way of reading; an infinite stroke width is null.
Json read_options_to_json(const art::ReadOptions& options) {
    const art::ReadOptions ordinary;
    Json json = Json::object();
    if (options.stroke_area != ordinary.stroke_area)
        json["stroke_area_mm"] = std::isfinite(options.stroke_area) ? Json(options.stroke_area) : Json(nullptr);
    if (options.scale != ordinary.scale) json["scale"] = options.scale;
    if (options.unit) json["unit_mm"] = *options.unit;
    if (options.page != ordinary.page) json["page"] = options.page;
    if (const auto& part = options.part) json["part_mm"] = {part->left, part->bottom, part->right, part->top};
    if (options.picture_width) json["picture_width_mm"] = *options.picture_width;
    if (options.text != ordinary.text) json["text"] = "single-stroke";
    if (const auto& trace = options.trace)
        json["trace"] = {{"centre_lines", trace->centre_lines},
                         {"threshold", trace->threshold},
                         {"speck_mm", trace->speck},
                         {"smoothness", trace->smoothness}};
    if (!options.removed.empty()) json["removed"] = options.removed;
    for (const art::Fault fault : options.mend)
        json["mend"].push_back(std::string(art::to_text(fault)));
    if (options.limits != ordinary.limits)
        json["limits_mm"] = {{"same", options.limits.same},
                             {"smallest", options.limits.smallest},
                             {"gap", options.limits.gap},
                             {"thick", options.limits.thick}};
    return json;
}

double positive(const Json& json) {
    const double value = json;
    if (!(value > 0) || !std::isfinite(value)) throw std::invalid_argument("read");
    return value;
}

art::ReadOptions read_options_from_json(const Json& json) {
    art::ReadOptions options;
    if (const auto width = json.find("stroke_area_mm"); width != json.end())
        options.stroke_area = width->is_null() ? art::ReadOptions::never : positive(*width);
    if (json.contains("scale")) options.scale = positive(json["scale"]);
    if (json.contains("unit_mm")) options.unit = positive(json["unit_mm"]);
    options.page = json.value("page", options.page);
    if (const auto part = json.find("part_mm"); part != json.end())
        options.part = geometry::Box{part->at(0), part->at(1), part->at(2), part->at(3)};
    if (json.contains("picture_width_mm")) options.picture_width = positive(json["picture_width_mm"]);
    if (json.value("text", "") == "single-stroke") options.text = art::DrawnText::single_stroke;
    if (const auto trace = json.find("trace"); trace != json.end())
        options.trace = art::TraceOptions{trace->at("centre_lines"), trace->at("threshold"), trace->at("speck_mm"),
                                          trace->at("smoothness")};
    for (const Json& index : json.value("removed", Json::array()))
        options.removed.push_back(index);
    std::sort(options.removed.begin(), options.removed.end());
    for (const Json& name : json.value("mend", Json::array())) {
        const auto fault = art::parse_fault(name.get<std::string>());
        if (!fault) throw std::invalid_argument("mend " + name.dump());
        options.mend.push_back(*fault);
    }
    if (const auto limits = json.find("limits_mm"); limits != json.end())
        options.limits = {positive(limits->at("same")), positive(limits->at("smallest")), positive(limits->at("gap")),
                          positive(limits->at("thick"))};
    return options;
}

/// Name of a source inside the file: numbered, so that two files of one name do not meet; never a path.
std::string entry_name(std::size_t index, const std::string& name) {
    std::string plain = name.substr(name.find_last_of('/') + 1);
    for (char& c : plain)
        if (static_cast<unsigned char>(c) < 0x20 || c == '\\') c = '_';
    return "sources/" + std::to_string(index + 1) + "-" + plain;
}

/// Reads the art of motifs, each distinct way of reading a source once.
class ArtShelf {
 public:
    ArtShelf(zip_t* archive, const std::string& job_name, const art::Outside& outside, const Watch& watch)
        : archive_(archive), job_name_(job_name), outside_(outside), watch_(watch) {}

    Result<std::shared_ptr<const art::Artwork>> get(const Json& motif) {
        const std::string source = motif.at("source");
        const Json read = motif.value("read", Json::object());
        auto& kept = shelf_[source + read.dump()];
        if (kept) return kept;
        art::Artwork bare;
        bare.name = motif.at("name");
        auto bytes = entry(source);
        if (!bytes) return tl::unexpected(bytes.error());
        bare.source = std::move(*bytes);
        for (const Json& file : motif.value("linked", Json::array())) {
            auto linked = entry(file.at("source"));
            if (!linked) return tl::unexpected(linked.error());
            bare.linked.push_back({file.at("reference"), std::move(*linked)});
        }
        auto art = art::read_again(bare, read_options_from_json(read), outside_, watch_);
        if (!art) return tl::unexpected(art.error());
        kept = std::make_shared<const art::Artwork>(std::move(*art));
        return kept;
    }

 private:
    Result<std::shared_ptr<const std::string>> entry(const std::string& name) {
        auto& kept = entries_[name];
        if (kept) return kept;
        auto bytes = read_entry(archive_, name);
        if (!bytes) return fail(error::damaged, {{"reason", name}}, job_name_);
        kept = std::make_shared<const std::string>(std::move(*bytes));
        return kept;
    }

    zip_t* archive_;
    const std::string& job_name_;
    const art::Outside& outside_;
    const Watch& watch_;
    std::map<std::string, std::shared_ptr<const std::string>> entries_;
    std::map<std::string, std::shared_ptr<const art::Artwork>> shelf_;
};

Result<Job> job_from_json(const Json& json, ArtShelf& shelf) {
    Job job;
    job.last_id = json.at("last_id");
    for (const Json& step : json.at("steps"))
        job.steps.push_back(step_from_json(step));
    job.left_out = inks_from_json(json.at("left_out"));
    if (json.contains("stock")) job.stock = stock_from_json(json.at("stock"));
    for (const Json& motif : json.at("motifs")) {
        const auto art = shelf.get(motif);
        if (!art) return tl::unexpected(art.error());
        job.motifs.push_back({motif.at("id"), *art, transform_from_json(motif.at("place"))});
    }
    return job;
}

/// Version 1 knew no stroke areas: every stroke was a line, and stays one.
void migrate_to_2(Json& json) {
    for (Json& motif : json.at("motifs"))
        motif["read"] = {{"stroke_area_mm", nullptr}};
}

/// The sources of a job as entries of the file, each once.
class SourceEntries {
 public:
    /// The entry that holds these bytes.
    std::string name_of(const std::shared_ptr<const std::string>& bytes, const std::string& file_name) {
        auto& name = names_[bytes.get()];
        if (name.empty()) {
            name = entry_name(names_.size() - 1, file_name);
            entries.push_back({name, *bytes});
        }
        return name;
    }
    std::vector<Entry> entries;

 private:
    std::map<const std::string*, std::string> names_;
};

Json motif_to_json(const Motif& motif, SourceEntries& sources) {
    const art::Artwork& art = *motif.art;
    const auto& p = motif.place;
    Json json{{"id", motif.id},
              {"name", art.name},
              {"source", sources.name_of(art.source, art.name)},
              {"place", {p.a, p.b, p.c, p.d, p.e, p.f}}};
    if (const Json read = read_options_to_json(art.read_with); !read.empty()) json["read"] = read;
    for (const art::LinkedFile& file : art.linked)
        json["linked"].push_back(
            {{"reference", file.reference}, {"source", sources.name_of(file.bytes, file.reference)}});
    return json;
}

}  // namespace

Result<std::string> to_chalk(const Job& job) {
    SourceEntries sources;
    Json motifs = Json::array();
    for (const Motif& motif : job.motifs)
        motifs.push_back(motif_to_json(motif, sources));
    Json json{{"format", "chalkline-job"}, {"version", chalk_version}, {"last_id", job.last_id}, {"motifs", motifs}};
    json["steps"] = Json::array();
    for (const Step& step : job.steps)
        json["steps"].push_back(step_to_json(step));
    json["left_out"] = inks_to_json(job.left_out);
    if (job.stock) json["stock"] = stock_to_json(*job.stock);
    std::vector<Entry> entries{{manifest, json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n"}};
    std::move(sources.entries.begin(), sources.entries.end(), std::back_inserter(entries));
    return write_zip(entries);
}

Result<Job> parse_chalk(const std::string& bytes, const std::string& name, const art::Outside& outside,
                        const Watch& watch) {
    const Archive archive = open_zip(bytes);
    if (!archive) return fail(bytes.starts_with("PK") ? error::damaged : error::not_a_job, {{"reason", "zip"}}, name);
    const auto text = read_entry(archive.get(), manifest);
    if (!text) return fail(error::not_a_job, {}, name);
    Json json = Json::parse(*text, nullptr, false);
    if (!json.is_object() || json.value("format", Json()) != "chalkline-job") return fail(error::not_a_job, {}, name);
    if (!json.contains("version") || !json["version"].is_number_integer())
        return fail(error::damaged, {{"reason", "version"}}, name);
    if (json["version"] > chalk_version)
        return fail(error::newer_version, {{"version", std::to_string(json["version"].get<int>())}}, name);
    try {
        if (json["version"] < 2) migrate_to_2(json);
        ArtShelf shelf(archive.get(), name, outside, watch);
        return job_from_json(json, shelf);
    } catch (const std::exception& thrown) {
        return fail(error::damaged, {{"reason", thrown.what()}}, name);
    }
}

Result<Job> load(const std::string& path, const art::Outside& outside, const Watch& watch) {
    auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    return parse_chalk(*bytes, path, outside, watch);
}

Result<void> save(const Job& job, const std::string& path) {
    auto bytes = to_chalk(job);
    if (!bytes) return tl::unexpected(bytes.error());
    return replace_file(path, *bytes);
}

}  // namespace chalkline::job
