// SPDX-License-Identifier: GPL-3.0-or-later
#include "output.hpp"

#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>
#include <cmath>
#include <iostream>

namespace chalkline::cli {
namespace {

std::string text(const QString& string) {
    return string.toStdString();
}

const char* to_text(planning::Severity severity) {
    switch (severity) {
        case planning::Severity::blocking:
            return "blocking";
        case planning::Severity::warning:
            return "warning";
        case planning::Severity::info:
            return "info";
    }
    return "";
}

}  // namespace

int exit_code_of(const Error& error) {
    const std::string library = error.code.substr(0, error.code.find('.'));
    if (error.code == error::stopped) return stopped;
    if (error.code == error::program_unsafe) return check_failed;
    if (error.code == error::stored_elsewhere) return check_failed;
    for (const auto code : {error::no_home, error::head_left_elsewhere, error::head_unknown})
        if (error.code == code) return machine_trouble;
    if (library == "cli" || library == "steps") return wrong_use;
    if (library == "link" || library == "machine")
        return error.code == machine::error::bad_profile ? unreadable : machine_trouble;
    if (library == "planning" || library == "program") return check_failed;
    return unreadable;
}

int report(const Error& error, bool json) {
    const auto message = wording::describe(error);
    std::string line = translated("error: ") + text(message.what);
    if (!message.where.isEmpty()) line += " (" + text(message.where) + ")";
    if (!message.help.isEmpty()) line += ": " + text(message.help);
    say(line);
    if (json)
        print({{"error",
                {{"code", error.code},
                 {"text", text(message.what)},
                 {"where", text(message.where)},
                 {"help", text(message.help)}}}});
    return exit_code_of(error);
}

std::string translated(const char* sentence) {
    return QCoreApplication::translate("cli", sentence).toStdString();
}

void print(const Json& json) {
    std::cout << json.dump(2, ' ', false, Json::error_handler_t::replace) << "\n";
}
void print_line(const Json& json) {
    std::cout << json.dump(-1, ' ', false, Json::error_handler_t::replace) << std::endl;
}
void print_text(const std::string& line) {
    std::cout << line << "\n";
}
void say(const std::string& line) {
    std::cerr << line << std::endl;
}

Json number(double value) {
    return std::isfinite(value) ? Json(std::round(value * 1e6) / 1e6) : Json(nullptr);
}

Json to_json(const geometry::Box& box) {
    if (box.empty()) return nullptr;
    return {number(box.left), number(box.bottom), number(box.right), number(box.top)};
}

Json to_json(const planning::Check& check, const job::Job& job) {
    const auto message = wording::describe(check);
    Json json{{"code", check.code.substr(check.code.find('.') + 1)},
              {"severity", to_text(check.severity)},
              {"text", text(message.what)},
              {"help", text(message.help)}};
    json["step"] = nullptr;
    for (std::size_t i = 0; i < job.steps.size(); ++i)
        if (check.step == job.steps[i].id) json["step"] = i + 1;
    json["where_mm"] = check.place ? Json{check.place->x, check.place->y} : Json(nullptr);
    return json;
}

Json to_json(const safety::ProgramFault& fault) {
    const auto message = wording::describe(fault);
    return {{"code", fault.code.substr(fault.code.find('.') + 1)},
            {"severity", "blocking"},
            {"text", text(message.what)},
            {"help", text(message.help)},
            {"line", fault.line},
            {"line_text", fault.text},
            {"where_mm", {fault.place.x, fault.place.y}}};
}

std::string short_code(const Notice& notice) {
    std::string code = notice.code.substr(notice.code.find('.') + 1);
    if (notice.code == "art.unsupported")
        for (const auto& [name, value] : notice.parameters)
            if (name == "feature") code += "-" + value;
    return code;
}

}  // namespace chalkline::cli
